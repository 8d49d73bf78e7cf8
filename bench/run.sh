#!/usr/bin/env bash
# All benchmarks in one run: bench/run.sh. Wants a built application (./zealous demo has built it) and a private cluster (it starts one).
set -euo pipefail
cd "$(dirname "$0")/.."
scripts/pg.sh start
BENCH_ADMIN_URL="$(scripts/pg.sh admin-url postgres)"; export BENCH_ADMIN_URL
for name in verify site deep advice mix trace backup; do node_modules/.bin/esbuild "bench/$name.ts" --bundle --platform=node --format=esm --packages=external --outfile=".data/bench-$name.mjs" --log-level=warning; done
echo "200 made-up heaps by the calendar and by the advice"; node .data/bench-advice.mjs
echo "the recipe bench and the store"; node .data/bench-mix.mjs
echo "tracing 10,000 lots and 40,000 flows"; node .data/bench-trace.mjs
echo "verify of half a million readings"; node --expose-gc .data/bench-verify.mjs
echo "backing up and restoring a million entries and 2,000 pictures"; PG_BIN="$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -1)" node .data/bench-backup.mjs
for n in 5000 50000 500000; do BENCH_READINGS=$n node .data/bench-deep.mjs; done

# The site's database as bench/site.ts left it, served by the built application to what is measured.
serve() {
  db="$(sed -n 's/^kept as //p' .data/bench.log)"
  DATABASE_URL="$(scripts/pg.sh admin-url "$db")" PORT=4999 HOSTNAME=127.0.0.1 NODE_ENV=production ZEALOUS_DEMO=1 node .next/standalone/server.js >/dev/null 2>&1 &
  server=$!; trap 'kill "$server"; sleep 1; scripts/pg.sh drop "$db"' EXIT
  sleep 3
}
leave() {
  kill "$server"; wait "$server" 2>/dev/null || true
  scripts/pg.sh drop "$db"; trap - EXIT
}
for n in ${BENCH_SITES:-12 50 200 500}; do
  echo "$n batches of 60 rounds"
  BENCH_KEEP=1 BENCH_BATCHES=$n BENCH_ROUNDS=60 node .data/bench-site.mjs | tee .data/bench.log
  serve; node bench/pages.mjs http://127.0.0.1:4999; leave
done
echo "30 batches of 500 rounds"; node .data/bench-site.mjs
echo "records of 200 batches of 60 rounds as one ZIP"
BENCH_KEEP=1 BENCH_BATCHES=200 BENCH_ROUNDS=60 node .data/bench-site.mjs >.data/bench.log
serve
# shellcheck disable=SC2046
node bench/records.mjs http://127.0.0.1:4999 "$server" $(scripts/pg.sh psql "$db" -Atc 'select batch from batch_snapshot')
leave
