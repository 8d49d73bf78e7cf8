#!/usr/bin/env bash
# What ./zealous install makes of a bare Debian, as root: tests/bare-debian.sh [DIR]. Needs debootstrap (Debian) and some five minutes.
# A system of its own is made below DIR; the commit that is checked out here is installed in it, started as its service starts it (its
# own user, the program read-only), with caddy and https in front; then an account is made, and it is stopped. Nothing of this machine
# is changed. systemd does not run in there: what it would start is started by hand.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DIR="${1:-$(mktemp -d /tmp/bare-debian-XXXX)}"; NAME=compost.farm.example; APP=/opt/zealous-heap
PORT=4274 HTTP=8280 HTTPS=8643   # none that a server of this machine has
say() { echo "$*" >&2; }
die() { say "FAILED: $*"; exit 1; }
[ "$(id -u)" = 0 ] || die "this needs root"
# A mount table of its own: whatever is mounted here is gone when this ends.
[ -n "${BARE_DEBIAN_INSIDE:-}" ] || exec unshare --mount env BARE_DEBIAN_INSIDE=1 "$0" "$DIR"
within() { chroot "$DIR" /bin/bash -c "cd $APP && $*"; }
# By what its unit says; only the port is another one.
as_service() { within "runuser -u zealous -- env $(sed -n 's/^Environment=//p' "$DIR/etc/systemd/system/zealous-heap.service") PORT=$PORT $APP/zealous $*"; }
ask() { curl -s --cacert "$DIR/root.crt" --resolve "$NAME:$HTTPS:127.0.0.1" --resolve "$NAME:$HTTP:127.0.0.1" "$@"; }
trap 'within "pkill -u caddy caddy" 2>/dev/null || true; as_service stop >/dev/null 2>&1 || true' EXIT

if [ ! -f "$DIR/etc/debian_version" ]; then
  say "A bare system below $DIR…"
  # shellcheck disable=SC1091
  debootstrap --variant=minbase --include=ca-certificates,git,procps "$(. /etc/os-release; echo "$VERSION_CODENAME")" "$DIR" "$(apt-get indextargets --format '$(REPO_URI)' | head -1)" >/dev/null
fi
# How this machine reaches its mirror and its registry, and its Node.js, which Debian has older.
cp -r /etc/apt/sources.list.d /etc/apt/apt.conf.d "$DIR/etc/apt/"; rm -f "$DIR/etc/apt/sources.list"
cp /etc/resolv.conf "$DIR/etc/"; cp -r /etc/ssl/certs "$DIR/etc/ssl/"
[ ! -f ~/.npmrc ] || cp ~/.npmrc "$DIR/root/"
cp "$(command -v node)" "$DIR/usr/bin/node"
npm="$(dirname "$(dirname "$(readlink -f "$(command -v npm)")")")"
mkdir -p "$DIR/usr/lib/node_modules"; cp -r "$npm" "$DIR/usr/lib/node_modules/"; ln -sf ../lib/node_modules/npm/bin/npm-cli.js "$DIR/usr/bin/npm"
for d in proc dev sys; do mount --rbind "/$d" "$DIR/$d"; done
rm -rf "${DIR:?}$APP" "${DIR:?}/var/lib/zealous-heap"; git clone -q "$ROOT" "$DIR$APP"

say "Installing…"
within "./zealous install $NAME" || die "it could not be installed"
mount --bind "$DIR$APP" "$DIR$APP"; mount -o remount,ro,bind "$DIR$APP"   # as ProtectSystem=strict does
! within "touch written" 2>/dev/null || die "the program can be written"

say "Starting it as its service does…"
(as_service start >"$DIR/start.log" 2>&1 &)
for _ in $(seq 60); do grep -q 'Ctrl-C' "$DIR/start.log" && break; sleep 1; done
link="$(grep -o 'join/.*' "$DIR/start.log")" || { cat "$DIR/start.log"; die "it prints no link"; }
sed -i "s/127.0.0.1:4174/127.0.0.1:$PORT/; s#^https://$NAME#{\n\thttp_port $HTTP\n\thttps_port $HTTPS\n}\nhttps://$NAME#" "$DIR/etc/caddy/Caddyfile"
(within "HOME=/var/lib/caddy runuser -u caddy -- caddy run --config /etc/caddy/Caddyfile --adapter caddyfile" >"$DIR/caddy.log" 2>&1 &)
for _ in $(seq 30); do ask -f "http://$NAME:$HTTP/root.crt" -o "$DIR/root.crt" && break; sleep 1; done
[[ "$(ask -L "http://$NAME:$HTTP/")" == */root.crt* ]] || die "the page that tells a phone to trust it is not there"
[ "$(ask -o /dev/null -w '%{http_code}' "https://$NAME:$HTTPS/api/ready")" = 200 ] || die "it is not ready behind https, or its certificate is not that of its root"
[ -z "$(ask -H 'Host: other.example' "https://$NAME:$HTTPS/")" ] || die "another name is answered"
cookies="$(ask -D - -o /dev/null -d "token=${link#join/}&name=Mo&username=mo&password=many warm heaps" "https://$NAME:$HTTPS/api/join" | grep -i '^set-cookie')" || die "no account was made"
[[ "$cookies" == *__Host-zh_session_*=* && "$cookies" == *Secure* ]] || die "the cookie is not bound to https: $cookies"
as_service status | grep -q 'Running:' || die "it does not say that it runs"
say "Installed, started, reached over https with its own root, an account made, in a bare Debian."
