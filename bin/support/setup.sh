# What a fresh Debian machine with Ruby 3.1 and Node 20 still lacks. Sourced by every command in bin/; quick when there
# is nothing to do. Parts: gems, page, browser.
set -euo pipefail
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$root"
export BUNDLE_GEMFILE="$root/Gemfile"

say() { printf '\033[1m· %s\033[0m\n' "$*" >&2; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# All of them once one is missing: packages of one source have to be of one version.
debian() {
  local missing=()
  for package in "$@"; do
    [ "$(dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null)" = installed ] || missing+=("$package")
  done
  [ ${#missing[@]} -eq 0 ] && return
  say "Debian packages: ${missing[*]}"
  as_root apt-get update -qq
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >&2
}

setup_gems() {
  gem_packages
  [ "$root/var/gems.done" -nt "$root/Gemfile.lock" ] && return
  say "gems"
  # into this folder, against the system's libraries: no package brings a binary of its own
  bundle config set --local path vendor/bundle
  bundle config set --local force_ruby_platform true
  bundle config set --local build.sqlite3 --enable-system-libraries
  bundle config set --local build.nokogiri --use-system-libraries
  bundle config set --local jobs 4
  bundle install --quiet
  mkdir -p "$root/var" && touch "$root/var/gems.done"
}

gem_packages() {
  debian build-essential ruby-dev libsqlite3-dev libyaml-dev libffi-dev libxml2-dev libxslt1-dev libvips42
  command -v bundle >/dev/null || debian ruby-bundler
}

setup_npm() {
  npm_packages
  [ "$root/ui/node_modules/.package-lock.json" -nt "$root/ui/package-lock.json" ] && return
  say "front-end packages"
  (cd "$root/ui" && npm ci --no-audit --no-fund --loglevel=error)
  touch "$root/ui/node_modules/.package-lock.json"
}

npm_packages() {
  command -v npm >/dev/null || debian nodejs npm
}

# Gems and front-end packages are fetched at the same time; Debian's tools allow one at a time.
setup_all() {
  gem_packages
  npm_packages
  setup_browser
  setup_npm &
  local npm=$!
  setup_gems
  wait "$npm"
}

setup_page() {
  setup_npm
  local stamp="$root/ui/dist/index.html"
  if [ -f "$stamp" ] && [ -z "$(find "$root/ui/src" "$root/ui/public" "$root/ui/index.html" "$root/ui/package-lock.json" "$root/ui/tsconfig.json" "$root/ui/vite.config.ts" "$root/api/openapi.yaml" -newer "$stamp" -print -quit)" ]; then
    return
  fi
  say "front end"
  (cd "$root/ui" && npm run --silent contract >&2 && npm run --silent build -- --logLevel warn >&2)
}

setup_browser() {
  debian chromium chromium-driver chromium-headless-shell
}

# Stops before anything is changed when another program, or this one, serves here already.
port_is_free() {
  local port=${SANDBAG_PORT:-4747}
  if (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
    echo "Port $port is in use: stop what serves there, or choose another with SANDBAG_PORT." >&2
    exit 1
  fi
}

# The page's pure logic, held against what the core says where the core has a say.
test_page() {
  say "page logic"
  bundle exec ruby spec/page/cases.rb
  (cd "$root/ui" && npm test --silent)
}
