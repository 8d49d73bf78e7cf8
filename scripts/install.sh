#!/usr/bin/env bash
# Installs Zealous Heap as a service of this machine, with https in front: install.sh NAME [--public] [--into DIR]
# NAME is what phones open, such as compost.farm.example. Without --public the web server makes certificates of its own, which phones
# are told to trust once. --into writes the files below DIR and starts nothing: to look at them first, and for tests.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DATA=/var/lib/zealous-heap; BACKUPS=/var/backups/zealous-heap; APP_USER=zealous; PORT=4174
say() { echo "$*" >&2; }
die() { say "$*"; exit 1; }

name='' into='' tls=$'\n\ttls internal' own_root=' ZEALOUS_OWN_ROOT=1'
while [ $# -gt 0 ]; do
  case "$1" in
    --into) into="${2:?--into needs a folder}"; shift 2;;
    --public) tls='' own_root=''; shift;;
    -*) die "There is no option '$1'. Usage: ./zealous install NAME [--public] [--into DIR]";;
    *) name="$1"; shift;;
  esac
done
[[ "$name" =~ ^[A-Za-z0-9]([A-Za-z0-9.-]*[A-Za-z0-9])?$ ]] || die "Say under which name phones open it, such as compost.farm.example: ./zealous install NAME"

# put FILE: writes what comes in, unless somebody has changed the file that is there.
put() {
  local file="$into$1" text; text="$(cat)"
  mkdir -p "$(dirname "$file")"
  if [ -f "$file" ] && ! grep -q 'Written by ./zealous install' "$file" && ! grep -q 'The Caddyfile is an easy way' "$file"; then
    die "$file is there already and was not written by this program. Move it away, or put what ./zealous install --into DIR writes into it by hand."
  fi
  printf '%s\n' "$text" >"$file"
}

service() {
  cat <<T
# Written by ./zealous install; run it again to change it.
[Unit]
Description=$1
After=network.target

[Service]
User=$APP_USER
WorkingDirectory=$ROOT
Environment=ZEALOUS_DATA=$DATA ZEALOUS_HOSTS=$name ZEALOUS_HTTPS=1$own_root PORT=$PORT NODE_ENV=production
UMask=0077
NoNewPrivileges=yes
CapabilityBoundingSet=
ProtectSystem=strict
ProtectHome=read-only
ReadWritePaths=$DATA $BACKUPS
PrivateTmp=yes
PrivateDevices=yes
ProtectClock=yes
ProtectHostname=yes
ProtectControlGroups=yes
ProtectKernelLogs=yes
ProtectKernelModules=yes
ProtectKernelTunables=yes
RestrictAddressFamilies=AF_INET AF_INET6 AF_UNIX
RestrictNamespaces=yes
RestrictRealtime=yes
RestrictSUIDSGID=yes
LockPersonality=yes
SystemCallArchitectures=native
$2
T
}

write_files() {
  # A phone that does not trust this machine yet would only be warned.
  local own_start=''; [ -z "$tls" ] || own_start=$'\n\thandle / {\n\t\tredir * /trust\n\t}'
  put /etc/systemd/system/zealous-heap.service <<<"$(service 'Zealous Heap: compost batches and their records' "ExecStart=$ROOT/zealous start
Restart=on-failure
RestartSec=5
TimeoutStartSec=300
TimeoutStopSec=30

[Install]
WantedBy=multi-user.target")"
  put /etc/systemd/system/zealous-heap-backup.service <<<"$(service 'Zealous Heap: one file with everything' "Type=oneshot
ExecStart=$ROOT/zealous backup $BACKUPS --keep 14")"
  put /etc/systemd/system/zealous-heap-backup.timer <<T
# Written by ./zealous install; run it again to change it.
[Unit]
Description=Zealous Heap: a backup each night

[Timer]
OnCalendar=*-*-* 03:00:00
RandomizedDelaySec=15min
Persistent=yes

[Install]
WantedBy=timers.target
T
  put /etc/caddy/Caddyfile <<T
# Written by ./zealous install; run it again to change it.
https://$name {$tls
	encode gzip
	reverse_proxy 127.0.0.1:$PORT {
		flush_interval -1
	}
}
http://$name {
	# What a phone is to trust where the certificates are this machine's own.
	handle /root.crt {
		root * /var/lib/caddy/.local/share/caddy/pki/authorities/local
		file_server
	}
	# How a phone is told to: the page, and what it is drawn with.
	@trust path /trust /_next/* /icon.svg
	handle @trust {
		reverse_proxy 127.0.0.1:$PORT
	}$own_start
	handle {
		redir https://{host}{uri}
	}
}
T
}

if [ -n "$into" ]; then write_files; say "Written below $into; nothing was started."; exit 0; fi
[ "$(id -u)" = 0 ] || die "Installing needs root: sudo ./zealous install $name"
export DEBIAN_FRONTEND=noninteractive
command -v caddy >/dev/null || apt-get install -y -qq --no-install-recommends caddy >/dev/null || die "apt-get could not install caddy. Install it by hand and run this again."
id "$APP_USER" >/dev/null 2>&1 || useradd --system --home-dir "$DATA" --shell /usr/sbin/nologin "$APP_USER"
mkdir -p "$DATA" "$BACKUPS"; chown "$APP_USER:" "$DATA" "$BACKUPS"; chmod 700 "$BACKUPS"
write_files
# Built now, as root: the service may read the program and write nothing of it.
"$ROOT/zealous" prepare
if [ -d /run/systemd/system ]; then
  systemctl daemon-reload
  systemctl enable --now zealous-heap.service zealous-heap-backup.timer
  systemctl enable caddy.service; systemctl restart caddy.service
  say "It runs. The link for the first account: journalctl -u zealous-heap | grep /join/"
else
  say "systemd does not run here: start it with  systemctl enable --now zealous-heap.service zealous-heap-backup.timer caddy.service"
fi
say "Phones open https://$name"
[ -z "$tls" ] || say "Until a phone trusts this machine, it warns: open http://$name on it once, and do what the page says."
