#!/usr/bin/env bash
# A whole machine, tried: a Debian 12 that has nothing, started with systemd in a namespace of this one; bin/demo; then
# bin/deploy with its places under /etc and its units; walked by a browser; stopped and started anew; a second release over the first,
# and gone back. As root, with debootstrap; takes some minutes. The ports 80 and 443 of this machine have to be free.
#   e2e/booted.sh [FOLDER]      the folder is kept for another look
set -euo pipefail
cd "$(dirname "$0")/.."
[ "$(id -u)" -eq 0 ] || { echo "✗ e2e/booted.sh starts a machine: as root" >&2; exit 1; }
command -v debootstrap >/dev/null || { echo "✗ Missing: debootstrap. As root: apt-get install debootstrap" >&2; exit 1; }
root="${1:-}" host=unionbit.example
# Everybody on the machine goes through its root.
[ -n "$root" ] || { root=$(mktemp -d); chmod 755 "$root"; gone=1; }
hosts=$(mktemp)
cp /etc/hosts "$hosts"
finish() {
    off
    cp "$hosts" /etc/hosts
    rm -f "$hosts"
    [ -z "${gone:-}" ] || rm -rf --one-file-system "$root"
}
off() { [ -z "${machine:-}" ] || { kill -KILL "$machine" 2>/dev/null || true; wait "$machine" 2>/dev/null || true; machine=; }; }
trap finish EXIT
fail() { echo "✗ $*" >&2; exit 1; }

if [ ! -x "$root/lib/systemd/systemd" ]; then
    echo "· A Debian 12 that has nothing"
    debootstrap --variant=minbase --include=systemd,systemd-sysv,dbus,ca-certificates,procps bookworm "$root" >"$root.log" 2>&1 || { tail -5 "$root.log" >&2; exit 1; }
    rm -f "$root.log"
fi
# It fetches packages as this machine does.
for settings in etc/apt/apt.conf.d etc/apt/sources.list.d etc/npmrc usr/etc/npmrc root/.npmrc root/.config/composer root/.composer usr/local/share/ca-certificates etc/ssl/certs/ca-certificates.crt; do
    [ ! -e "/$settings" ] || { mkdir -p "$root/$(dirname "$settings")"; cp -rLT "/$settings" "$root/$settings"; }
done
# Its own list of authorities is made anew when packages come: what this machine trusts stands beside it too.
cp -L /etc/ssl/certs/ca-certificates.crt "$root/root/authorities.crt"
cp -L /etc/resolv.conf "$root/etc/resolv.conf"
[ ! -e "$root/etc/apt/sources.list.d/debian.sources" ] || : >"$root/etc/apt/sources.list"

on() {
    unshare --mount --pid --fork --uts --ipc --cgroup --kill-child=SIGKILL bash -c '
        root=$1
        mount --make-rprivate /
        mount --bind "$root" "$root"
        mount -t proc proc "$root/proc"
        mount -t sysfs sysfs "$root/sys"
        mount -t cgroup2 cgroup2 "$root/sys/fs/cgroup"
        mount -t tmpfs tmpfs "$root/run"
        mount -t tmpfs -o mode=755 tmpfs "$root/dev"
        for device in null zero full random urandom tty; do touch "$root/dev/$device"; mount --bind "/dev/$device" "$root/dev/$device"; done
        mkdir "$root/dev/shm"
        mount -t tmpfs tmpfs "$root/dev/shm"
        ln -s /proc/self/fd "$root/dev/fd"
        hostname unionbit-machine
        exec chroot "$root" env -i container=namespace PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin \
            /lib/systemd/systemd --system --log-target=journal' bash "$root" >/dev/null 2>&1 &
    machine=$!
    for _ in $(seq 60); do
        # Its first process is the child of the one that made the namespace.
        first=$(pgrep -P "$machine" | head -1) || true
        [ -n "$first" ] && inside systemctl is-system-running 2>/dev/null | grep -qE 'running|degraded' && return
        sleep 1
    done
    fail "The machine does not start."
}
inside() {
    nsenter -t "$first" -m -p -u -i -C -r -w env -i HOME=/root LANG=C.UTF-8 NODE_EXTRA_CA_CERTS=/root/authorities.crt SSL_CERT_FILE=/root/authorities.crt \
        PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin "$@"
}
ask() { curl -ksS --retry 20 --retry-connrefused --retry-delay 1 --resolve "$host:443:127.0.0.1" "https://$host$1"; }
well() {
    for _ in $(seq 90); do
        ask /health | head -1 | grep -qx well && { echo "· Well: $1"; return; }
        sleep 1
    done
    ask /health >&2
    fail "Not well: $1"
}
no_failed() { [ -z "$(inside systemctl --failed --plain --no-legend)" ] || { inside systemctl --failed --plain --no-legend >&2; fail "A unit failed."; }; }

echo "· Started with systemd"
on
rm -rf "$root/root/copy" "$root/srv/unionbit"
git clone -q . "$root/root/copy"
[ -e "$root/root/key.pem" ] || openssl req -x509 -newkey rsa:2048 -nodes -days 30 -subj "/CN=$host" -keyout "$root/root/key.pem" -out "$root/root/cert.pem" 2>/dev/null
echo "· bin/demo brings what is missing, and serves"
inside bash -c 'cd /root/copy && exec bin/demo --port 8155' >"$root/root/demo.log" 2>&1 &
demo=$!
for _ in $(seq 600); do
    grep -q '^✓' "$root/root/demo.log" && break
    kill -0 "$demo" 2>/dev/null || { tail -20 "$root/root/demo.log" >&2; fail "bin/demo"; }
    sleep 1
done
curl -fsS http://127.0.0.1:8155/jobs | grep -q Tollhouse || fail "bin/demo shows no demo data."
inside pkill -f -- '-S 127.0.0.1:8155' || true
wait "$demo" 2>/dev/null || true
deploy() { inside bash -c "cd /root/copy && bin/deploy --host $host --cert /root/cert.pem --key /root/key.pem" >"$root/root/deploy.log" 2>&1 || { tail -20 "$root/root/deploy.log" >&2; fail "bin/deploy"; }; }
deploy
well "the first release"
no_failed
echo "127.0.0.1 $host" >>/etc/hosts
ask /first-start >/dev/null
code=$(cat "$root/srv/unionbit/shared/storage/app/first-start.txt")
DEPLOYED="https://$host" FIRST_CODE="$code" npx playwright test --config e2e/deployed.config.ts
echo "· Switched off and on"
off
on
well "after a start, by itself"
no_failed
echo "· A second release over the first"
deploy
well "the second release"
[ "$(ls "$root/srv/unionbit/releases" | wc -l)" -eq 2 ] || fail "There are not two releases."
inside bash -c "cd /root/copy && bin/deploy --back" >/dev/null
well "the first again"
inside logrotate -f /etc/logrotate.d/unionbit || fail "The logs are not rotated."
well "with fresh logs"
no_failed
ask /metrics | grep -q 'unionbit_rows{table="users"} 1' || fail "The people are gone."
echo "✓ A machine started with systemd: deployed, walked, started anew, upgraded, gone back."
