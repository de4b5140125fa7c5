# Sourced by bin/start and bin/test: puts in place what they need and is missing. Says what it is doing.

say() { printf '%s\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

# The Debian packages among the arguments that are not there.
missing_packages() {
  local package
  for package in "$@"; do
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || printf '%s ' "$package"
  done
}

install_packages() {
  command -v dpkg-query >/dev/null || return 0
  local missing
  missing=$(missing_packages "$@")
  [ -z "$missing" ] && return 0
  if [ "$(id -u)" -ne 0 ]; then
    fail "These Debian packages are missing: $missing
Ask someone who may install them to run:  apt-get install $missing
Then start again."
  fi
  say "Installing Debian packages: $missing…"
  # A private database is made later; Debian's own cluster is not needed.
  if [ ! -e /etc/postgresql-common ]; then
    mkdir -p /etc/postgresql-common/createcluster.d
    echo "create_main_cluster = false" > /etc/postgresql-common/createcluster.d/rungs.conf
  fi
  local log policy=/usr/sbin/policy-rc.d made=
  log=$(mktemp)
  # What they bring along as services stays off: Rungs starts what it needs, and only while it runs.
  [ -e "$policy" ] || { printf '#!/bin/sh\nexit 101\n' > "$policy" && chmod 755 "$policy" && made=1; }
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing; } > "$log" 2>&1 ||
    { [ -n "$made" ] && rm -f "$policy"; fail "The packages could not be installed. The last lines of the log ($log):
$(tail -n 5 "$log")"; }
  [ -n "$made" ] && rm -f "$policy"
  rm -f "$log"
}

# Gems into vendor/bundle; the stamp tells that Gemfile.lock has not changed since.
install_gems() {
  local stamp="vendor/bundle/.installed-${BUNDLE_WITHOUT:-all}" want
  want=$(sha256sum Gemfile.lock | cut -d' ' -f1)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Installing gems into vendor/bundle (a minute or two, once) …"
  local log
  log=$(mktemp)
  BUNDLE_PATH=vendor/bundle BUNDLE_FROZEN=true bundle install --jobs 4 --quiet > "$log" 2>&1 ||
    fail "The gems could not be installed. The last lines of the log ($log):
$(tail -n 5 "$log")
Is there a network? Is the disk full?"
  rm -f "$log"
  # So that a plain `bundle exec` in this folder finds them too.
  bundle config set --local path vendor/bundle
  printf '%s' "$want" > "$stamp"
}

DISTRICT_PACKAGES="patroni python3-etcd etcd-server etcd-client haproxy pgbouncer openssl"
RUNTIME_PACKAGES="ca-certificates ruby ruby-dev ruby-bundler build-essential libpq-dev libyaml-dev libffi-dev libvips42 postgresql-15 poppler-utils qpdf"
export LANG=C.UTF-8 LC_ALL=C.UTF-8 BUNDLE_PATH=vendor/bundle BUNDLE_GEMFILE="$PWD/Gemfile"
