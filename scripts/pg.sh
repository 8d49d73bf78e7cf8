#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback: pg.sh start|stop|status|url NAME|accounts-url NAME|admin-url NAME|create NAME|drop NAME|psql NAME …
# Idempotent; works as root (the server then runs under an unprivileged user) and as a plain user.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DIR="${PG_DIR:-$ROOT/.data/pg}"; DATA="$DIR/data"; LOG="$DIR/server.log"; PORTF="$DIR/port"; PASSF="$DIR/owner-pass"; APPF="$DIR/app-pass"; ACCOUNTSF="$DIR/accounts-pass"
MODE="${PG_MODE:-durable}"   # test: durability off
OWNER=zealous_owner; APP=zealous_app; ACCOUNTS=zealous_accounts
BIN="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)"
[ -x "$BIN/initdb" ] || { echo "The PostgreSQL server is missing. As root: apt-get install -y postgresql" >&2; exit 1; }
unset PGHOST PGPORT PGUSER PGDATABASE PGPASSWORD PGSERVICE PGDATA
if [ "$(id -u)" = 0 ]; then
  OSU="${PG_OS_USER:-postgres}"; id "$OSU" >/dev/null 2>&1 || useradd --system --no-create-home --shell /usr/sbin/nologin "$OSU"
  as() { (cd / && exec setpriv --reuid="$OSU" --regid="$(id -g "$OSU")" --clear-groups env HOME=/ "$@"); }
else OSU="$(id -un)"; as() { "$@"; }; fi
freeport() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
is_free() { node -e 'const s=require("net").createServer();s.once("error",()=>process.exit(1));s.listen(+process.argv[1]||-1,"127.0.0.1",()=>s.close())' "$1" 2>/dev/null; }
secret() { (umask 077; node -p 'require("crypto").randomBytes(18).toString("base64url")' >"$1"); }
sql() { PGPASSWORD="$(cat "$PASSF")" "$BIN/psql" -h 127.0.0.1 -p "$(cat "$PORTF")" -U "$OWNER" -d postgres -qAtX -v ON_ERROR_STOP=1 "$@"; }
# pg_ctl status trusts kill(pid, 0): a zombie or a re-used pid counts as running and blocks the start. Ask /proc.
running() { local p; p="$(as head -1 "$DATA/postmaster.pid" 2>/dev/null)" || return 1
  grep -q "^State:.[^ZX]" "/proc/$p/status" 2>/dev/null && tr '\0' ' ' <"/proc/$p/cmdline" 2>/dev/null | grep -qF -- "-D $DATA"; }
settings() {
  printf '%s\n' "listen_addresses='127.0.0.1'" "port=$(cat "$PORTF")" "unix_socket_directories=''" \
    max_connections=100 shared_buffers=128MB "timezone='UTC'" "log_timezone='UTC'"
  # Continuous archiving, for going back to a minute: each finished piece of the log of changes is copied there.
  [ -z "${PG_ARCHIVE:-}" ] || printf '%s\n' archive_mode=on archive_timeout=300 "archive_command='test ! -f \"$PG_ARCHIVE/%f\" && cp \"%p\" \"$PG_ARCHIVE/%f\"'"
  [ "$MODE" != test ] || printf '%s\n' fsync=off synchronous_commit=off full_page_writes=off
}
start() {
  (umask 022; mkdir -p "$DIR"); chmod 755 "$DIR"; [ "$(id -u)" != 0 ] || chown "$OSU" "$DIR"
  as test -x "$DIR" || { echo "User $OSU cannot reach $DIR: a folder above it lacks o+x. Set PG_DIR to another place." >&2; exit 1; }
  if [ ! -f "$DIR/initdb.ok" ]; then
    as rm -rf "$DATA"; secret "$PASSF"; secret "$APPF"; [ "$(id -u)" != 0 ] || chown "$OSU" "$PASSF"
    as "$BIN/initdb" -D "$DATA" -U "$OWNER" --pwfile="$PASSF" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 --no-sync >/dev/null
    as touch "$DIR/initdb.ok"
  fi
  for try in 1 2 3; do
    running && break
    as rm -f "$DATA/postmaster.pid"
    # Another port only where somebody else has taken it: a server that was connected finds its database again.
    is_free "$(cat "$PORTF" 2>/dev/null)" || freeport >"$PORTF"
    # A full disk would leave a file that is written again empty.
    [ "$(as cat "$DATA/postgresql.auto.conf")" = "$(settings)" ] || settings | as tee "$DATA/postgresql.auto.conf" >/dev/null
    as "$BIN/pg_ctl" -D "$DATA" -l "$LOG" -w -t 600 start >/dev/null 2>&1 && break
    [ "$try" -lt 3 ] || { tail -20 "$LOG" >&2; exit 1; }
  done
  # After a crash, or on its way back to a minute, it takes no entries yet.
  for _ in $(seq 3000); do
    [ "$(sql -c 'select pg_is_in_recovery()' 2>/dev/null)" != f ] || break
    running || { tail -20 "$LOG" >&2; exit 1; }
    sleep 0.2
  done
  # A cluster from before there was a role for accounts has no password for it.
  [ -f "$ACCOUNTSF" ] || secret "$ACCOUNTSF"
  create_role "$APP" "$APPF"; create_role "$ACCOUNTS" "$ACCOUNTSF"
}
# Somebody else may stop it in the same moment: what counts is that it has stopped.
stop() { if running; then as "$BIN/pg_ctl" -D "$DATA" -m fast -w stop >/dev/null || ! running; fi; }
create_role() { [ "$(sql -c "select 1 from pg_roles where rolname='$1'")" = 1 ] || sql -c "create role $1 login password '$(cat "$2")'"; }
create() { [ "$(sql -c "select 1 from pg_database where datname='$1'")" = 1 ] || sql -c "create database \"$1\""; }
case "${1:-}" in
  start) start;; stop) stop;;
  status) if running; then echo running; else echo stopped; exit 3; fi;;
  create) create "$2";; drop) sql -c "drop database if exists \"$2\" with (force)";;
  url) echo "postgres://$APP:$(cat "$APPF")@127.0.0.1:$(cat "$PORTF")/$2";;
  accounts-url) echo "postgres://$ACCOUNTS:$(cat "$ACCOUNTSF")@127.0.0.1:$(cat "$PORTF")/$2";;
  admin-url) echo "postgres://$OWNER:$(cat "$PASSF")@127.0.0.1:$(cat "$PORTF")/$2";;
  psql) shift; exec "$BIN/psql" "$("$0" admin-url "$1")" "${@:2}";;
  *) echo "usage: $0 start|stop|status|url NAME|accounts-url NAME|admin-url NAME|create NAME|drop NAME|psql NAME" >&2; exit 2;;
esac
