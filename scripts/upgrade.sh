#!/usr/bin/env bash
# Brings this installation to another version: upgrade.sh [REF]; without REF, to what the branch it follows holds now.
# A backup is made first. If the new version does not answer, the old one comes back with what was backed up.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"; cd "$ROOT"
UNIT=zealous-heap.service
# As ./zealous install has set it up: the service's own user has the data.
if [ -f "/etc/systemd/system/$UNIT" ]; then APP_USER=zealous; export ZEALOUS_DATA="${ZEALOUS_DATA:-/var/lib/zealous-heap}"; else APP_USER=; fi
DATA="${ZEALOUS_DATA:-$ROOT/.data}"; RUN="$DATA/run"
READY_S="${ZEALOUS_READY_S:-120}"
say() { echo "$*" >&2; }
die() { say "$*"; exit 1; }

git diff --quiet HEAD || die "Files of the program were changed here. Take the changes away first: git status"
was="$(git rev-parse HEAD)"
if [ $# -gt 0 ]; then to="$(git rev-parse --verify -q "$1^{commit}")" || { git fetch -q --tags && to="$(git rev-parse --verify -q "$1^{commit}")"; } || die "There is no version '$1'."
# After a version of one's own choosing the folder follows no branch: then what its origin holds as its own.
else git fetch -q && to="$(git rev-parse --verify -q '@{upstream}' || git rev-parse --verify -q origin/HEAD)" || die "This folder follows no branch. Name the version: ./zealous upgrade REF"; fi
branch=; [ $# -gt 0 ] || branch="$(git symbolic-ref -q HEAD || true)"
# take VERSION: the branch moves with it, so that it is followed the next time too.
take() { if [ -n "$branch" ]; then git reset -q --keep "$1"; else git checkout -q --detach "$1"; fi; }
[ "$was" != "$to" ] || { say "It is this version already."; exit 0; }

# app COMMAND…: what is done with the data, by whoever has it.
app() { if [ -n "$APP_USER" ]; then runuser -u "$APP_USER" -- env ZEALOUS_DATA="$DATA" "$ROOT/zealous" "$@"; else "$ROOT/zealous" "$@"; fi; }
by_systemd() { [ -d /run/systemd/system ] && systemctl is-enabled -q "$UNIT" 2>/dev/null; }
stop_it() { if by_systemd; then systemctl stop "$UNIT"; else app stop >/dev/null; fi; }
start_it() {
  if by_systemd; then systemctl start "$UNIT"; return; fi
  # It outlives this program, as if somebody had started it.
  (setsid "$ROOT/zealous" start </dev/null >>"$DATA/upgrade.log" 2>&1 &)
}
is_ready() {
  for _ in $(seq "$READY_S"); do
    node -e 'fetch(process.argv[1],{signal:AbortSignal.timeout(2000)}).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' \
      "http://127.0.0.1:$(cat "$RUN/start.port" 2>/dev/null || echo 0)/api/ready" 2>/dev/null && return 0
    sleep 1
  done
  return 1
}
version() { git log -1 --format=%h "$1"; }

[ -n "$APP_USER" ] || mkdir -p "$DATA"
# Stopped first: what was logged after the backup would not come back with it. Phones keep what they have until it answers again.
stop_it
say "Backing up…"
backup="$(app backup "$DATA/backups" | sed -n 's/^Backed up .*: //p')" || true   # what is wrong was said; it must be started again
[ -f "$backup" ] || { start_it; die "The backup was not made; nothing was changed, and it is started again."; }
say "From $(version "$was") to $(version "$to"). The backup: $backup"
take "$to" || { start_it; die "The version could not be taken; nothing was changed, and it is started again."; }
# What the installation has done once, by the number of its version: going back, it has not done what the new one did.
had="$(cat "$DATA/site-key.version" 2>/dev/null || true)"
started=
if "$ROOT/zealous" prepare && { started=1; start_it; is_ready; }; then
  say "Upgraded: it answers, with $(version "$to")."; exit 0
fi

say "It does not answer. Going back to $(version "$was")…"
[ -z "$started" ] || stop_it || true
take "$was"
"$ROOT/zealous" prepare
if [ -n "$started" ]; then
  [ -z "${DATABASE_URL:-}" ] || die "The program is the old one again. Your database is your own: restore $backup into an empty one, then start."
  app empty
  app restore "$backup"
  [ -z "$had" ] || echo "$had" >"$DATA/site-key.version"
fi
start_it
is_ready || die "The old version does not answer either. See $DATA/upgrade.log; the backup is $backup"
say "It is the old version again, with everything that was there."; exit 1
