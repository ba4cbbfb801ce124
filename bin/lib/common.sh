# Shared by the scripts in bin/: finds the project, says one clear sentence when something is missing, and brings in
# what a fresh machine lacks.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/../.."
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1 npm_config_fund=false npm_config_audit=false npm_config_update_notifier=false

say() { printf '%s\n' "$*"; }
stop() {
    printf '%s\n' "$*" >&2
    exit 1
}

# Runs two scripts side by side; what the first one says is shown once the second one is done. Both must be well.
beside() {
    local log first=0 second=0 run
    log=$(mktemp)
    "$1" >"$log" 2>&1 &
    run=$!
    "$2" || second=$?
    wait "$run" || first=$?
    cat "$log"
    rm -f "$log"
    [ "$first" = 0 ] && [ "$second" = 0 ]
}

# PHPUnit over many classes: what is compiled is also made quicker.
phpunit() {
    php -d opcache.enable_cli=1 vendor/bin/phpunit --colors=never --do-not-cache-result "$@"
}

as_root() { [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null 2>&1; }

APT_UPDATED=0
apt_install() {
    if [ "$APT_UPDATED" = 0 ]; then
        apt-get update -qq >/dev/null || stop "The package lists could not be fetched. Connect to the network once, then start again."
        APT_UPDATED=1
    fi
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null 2>&1 || stop "Could not install $*. Install it by hand, then start again."
}

need_tool() { # command, what it is, Debian package
    command -v "$1" >/dev/null 2>&1 && return
    if as_root; then
        say "Installing $2 ..."
        apt_install "$3"
    else
        stop "$2 is missing. Install it with: sudo apt-get install $3"
    fi
}

need_php() {
    need_tool php "PHP 8.2" php8.2-cli
    php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || stop "PHP 8.2 or newer is needed; this machine has $(php -r 'echo PHP_VERSION;')."
    local series missing=()
    series="php$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')"
    php -r 'exit(extension_loaded("pdo_sqlite") ? 0 : 1);' || missing+=("$series-sqlite3")
    php -r 'exit(extension_loaded("gd") ? 0 : 1);' || missing+=("$series-gd")
    php -r 'exit(extension_loaded("zip") ? 0 : 1);' || missing+=("$series-zip")
    php -r 'exit(extension_loaded("curl") ? 0 : 1);' || missing+=("$series-curl")
    php -r 'exit(extension_loaded("mbstring") ? 0 : 1);' || missing+=("$series-mbstring")
    php -r 'exit(extension_loaded("intl") ? 0 : 1);' || missing+=("$series-intl")
    php -r 'exit(extension_loaded("dom") ? 0 : 1);' || missing+=("$series-xml")
    if [ ${#missing[@]} -gt 0 ]; then
        as_root || stop "PHP lacks extensions. Install them with: sudo apt-get install ${missing[*]}"
        say "Installing ${missing[*]} ..."
        apt_install "${missing[@]}"
    fi
}

need_node() {
    need_tool node "Node 20" nodejs
    need_tool npm "npm" npm
    node -e 'process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)' || stop "Node 20 or newer is needed; this machine has $(node -v)."
}

# A stamp beside the installed packages remembers what they were installed from.
stale() { # stamp, source files
    local stamp=$1
    shift
    [ ! -f "$stamp" ] || [ "$(cat "$@" | cksum)" != "$(cat "$stamp")" ]
}
stamp() {
    local to=$1
    shift
    cat "$@" | cksum >"$to"
}

# What a shop needs to run it; with "dev" also what only checks and tests need. What is there for those is not taken away again.
install_php() { # "dev" or nothing
    local with=${1:-} wanted=--no-dev
    need_php
    if [ "$with" = dev ] || [ -f vendor/.with-dev ]; then wanted=; fi
    if [ ! -f vendor/autoload.php ] || stale vendor/.installed composer.json core/composer.json || { [ -z "$wanted" ] && [ ! -f vendor/.with-dev ]; }; then
        need_tool composer "Composer" composer
        say "Installing the PHP packages ..."
        mkdir -p bootstrap/cache storage/framework/{cache/data,sessions,views} storage/logs
        [ -f .env ] || cp .env.example .env
        composer install --no-progress --quiet $wanted || stop "The PHP packages could not be installed. Connect to the network once, then start again."
        stamp vendor/.installed composer.json core/composer.json
        [ -n "$wanted" ] || : >vendor/.with-dev
    fi
}

install_core() {
    if [ ! -f core/vendor/autoload.php ] || stale core/vendor/.installed core/composer.json; then
        say "Installing the core's own packages ..."
        (cd core && composer install --no-progress --quiet) || stop "The core's packages could not be installed."
        stamp core/vendor/.installed core/composer.json
    fi
}

install_npm() { # "dev" or nothing
    local with=${1:-} wanted=--omit=dev
    need_node
    if [ "$with" = dev ] || [ -f node_modules/.with-dev ]; then wanted=--include=dev; fi
    if [ ! -d node_modules ] || stale node_modules/.installed package-lock.json || { [ "$wanted" = --include=dev ] && [ ! -f node_modules/.with-dev ]; }; then
        say "Installing the front-end packages ..."
        npm ci --no-progress --silent $wanted || stop "The front-end packages could not be installed. Connect to the network once, then start again."
        stamp node_modules/.installed package-lock.json
        [ "$wanted" = --omit=dev ] || : >node_modules/.with-dev
    fi
}

front_end_sources() {
    find resources/js resources/views openapi vite.config.ts package-lock.json -type f | LC_ALL=C sort | tr '\n' '\0' | xargs -0 cat
}

build_front_end() { # "dev" or nothing
    local sum
    sum=$(front_end_sources | cksum)
    if [ ! -f public/build/manifest.json ] || [ "$(cat public/build/.built 2>/dev/null)" != "$sum" ]; then
        install_npm "${1:-}"
        say "Building the front end ..."
        npx vite build --logLevel error || stop "The front end could not be built."
        printf '%s\n' "$sum" >public/build/.built
    fi
}

make_env() {
    [ -f .env ] || cp .env.example .env
    grep -q '^APP_KEY=base64' .env || php artisan key:generate --force --quiet
}

# Readers of drawings and calendars that are not ours, for the tests that read them back.
install_readers() {
    need_tool jq "jq" jq
    /usr/bin/python3 -c 'import ezdxf, icalendar' >/dev/null 2>&1 && return
    as_root || stop "Reading drawings and calendars back needs: sudo apt-get install python3-ezdxf python3-icalendar"
    say "Installing readers of drawings and calendars ..."
    apt_install python3-ezdxf python3-icalendar
}

install_browser() {
    if ! command -v chromium >/dev/null 2>&1 || ! command -v chromedriver >/dev/null 2>&1; then
        as_root || stop "The browser tests need Chromium and its driver. Install them with: sudo apt-get install chromium chromium-driver"
        say "Installing Chromium and ChromeDriver ..."
        apt_install chromium chromium-driver
    fi
    if ! command -v pdftotext >/dev/null 2>&1; then
        as_root || stop "Reading the printed sheet needs pdftotext. Install it with: sudo apt-get install poppler-utils"
        apt_install poppler-utils
    fi
}

# Of what a failed step printed, the sentence that says why.
reason() {
    local plain why
    plain=$(printf '%s\n' "$1" | sed 's/\x1b\[[0-9;]*m//g' | grep -v '^\s*$')
    why=$(grep -m1 -A1 -E '(Exception|Error)\s*$' <<<"$plain" | tail -n 1 | sed 's/^\s*//')
    printf '%s' "${why:-$(tail -n 3 <<<"$plain")}"
}
