# Shared by bin/start, bin/test and bin/bench: brings a fresh machine to where the application runs.
# Everything that it makes lies under the project's storage/, vendor/ and node_modules/.

export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)"
cd "$ROOT"
STARTED_GROUPS=()
SOCKETS=()
PID_FILES=()
MORE_PACKAGES=()

say() { printf '\033[2m%s\033[0m\n' "$*"; }
fail() { printf 'diatherm: %s\n' "$*" >&2; exit 1; }

# Debian packages for what is missing: command or PHP extension => package.
missing_packages() {
    local with_browser="$1" modules
    command -v php >/dev/null || echo php-cli
    # Read whole: a pipe that grep leaves early would count as a module that is not there.
    modules="$(php -m 2>/dev/null || true)"
    for extension in pdo_mysql:mysql intl:intl mbstring:mbstring dom:xml curl:curl zip:zip apcu:apcu; do
        grep -qix "${extension%%:*}" <<<"$modules" || echo "php8.2-${extension##*:}"
    done
    command -v composer >/dev/null || echo composer
    command -v node >/dev/null || echo nodejs npm
    command -v mariadbd >/dev/null || [ -x /usr/sbin/mariadbd ] || echo mariadb-server
    if [ "$with_browser" = yes ]; then
        command -v chromium >/dev/null || echo chromium
        command -v chromedriver >/dev/null || echo chromium-driver
    fi
}

install_packages() {
    local packages
    packages="$(missing_packages "$1" | tr '\n' ' ') ${MORE_PACKAGES[*]}"
    [ -n "${packages// /}" ] || return 0
    local as_root=()
    if [ "$(id -u)" -ne 0 ]; then
        if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then as_root=(sudo -n)
        else fail "please install first:  apt-get install --no-install-recommends $packages"; fi
    fi
    say "Installing $packages"
    "${as_root[@]}" apt-get update -qq >/dev/null || fail "apt-get update failed."
    # shellcheck disable=SC2086
    "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $packages >"$ROOT/storage/apt.log" 2>&1 \
        || fail "the packages could not be installed; see storage/apt.log."
    hash -r
}

# fresh NAME FILES... : whether the stamp of NAME still fits the contents of FILES.
checksum() { find "$@" -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1; }
fresh() { local name="$1"; shift; [ -f "storage/stamps/$name" ] && [ "$(cat "storage/stamps/$name")" = "$(checksum "$@")" ]; }
stamp() { local name="$1"; shift; mkdir -p storage/stamps; checksum "$@" >"storage/stamps/$name"; }

prepare_code() {
    mkdir -p storage/framework/views storage/framework/cache storage/logs storage/app bootstrap/cache
    if ! { [ -d vendor ] && fresh composer composer.json; }; then
        say "Installing Composer packages"
        composer install --no-progress --quiet 2>storage/composer.log || { cat storage/composer.log >&2; fail "Composer could not install its packages."; }
        stamp composer composer.json
    fi
    if ! { [ -d node_modules ] && fresh npm package.json package-lock.json; }; then
        say "Installing npm packages"
        npm ci --no-audit --no-fund --loglevel=error >storage/npm.log 2>&1 || { cat storage/npm.log >&2; fail "npm could not install its packages."; }
        stamp npm package.json package-lock.json
    fi
    if [ ! -f .env ]; then
        (umask 077 && printf 'APP_KEY=base64:%s\n' "$(php -r 'echo base64_encode(random_bytes(32));')" >.env)
    fi
    chmod 600 .env
}

build_front() {
    if ! { [ -f public/build/manifest.json ] && fresh front resources docs/openapi.yaml vite.config.ts tsconfig.json package.json; }; then
        say "Building the front end"
        npm run --silent types >storage/types.log 2>&1 || { cat storage/types.log >&2; fail "the types could not be made from docs/openapi.yaml."; }
        npm run --silent build >storage/build.log 2>&1 || { cat storage/build.log >&2; fail "the front end could not be built."; }
        # Compressed once, not at every asking.
        find public/build/assets -type f \( -name '*.js' -o -name '*.css' \) -exec gzip -9 -k -f {} +
        stamp front resources docs/openapi.yaml vite.config.ts tsconfig.json package.json
    fi
}

# only_one LOCK WORDS : nobody else runs from this folder under that lock, else fails with WORDS. What a run that was killed left
# behind is ended.
only_one() {
    LEFT_FILE="$1.started"
    exec 9>"$1.lock"
    flock -n 9 || fail "$2"
    end_left_over
    : >"$LEFT_FILE"
}

# apart LOG COMMAND… : starts it in a process group of its own, which ends with this run. Only its owner can read its log.
apart() {
    local log="$1"
    [ "$log" = /dev/null ] || { (umask 077 && : >>"$log") && chmod 600 "$log"; }
    # Whoever holds the lock runs from this folder: what is started does not.
    setsid "${@:2}" >"$log" 2>&1 9>&- &
    STARTED_GROUPS+=($!)
    [ -z "${LEFT_FILE:-}" ] || echo "$!" >>"$LEFT_FILE"
}

# left_of GROUP : its processes that run in this folder or under it.
left_of() {
    local stat fields pid
    for stat in /proc/[0-9]*/stat; do
        { fields="$(<"$stat")"; } 2>/dev/null || continue
        # shellcheck disable=SC2086
        set -- "$1" ${fields##*) }
        [ "${4:-}" = "$1" ] || continue
        pid="${stat#/proc/}"; pid="${pid%/stat}"
        case "$(readlink "/proc/$pid/cwd" 2>/dev/null)/" in "$ROOT"/*) echo "$pid" ;; esac
    done
}

end_left_over() {
    local group pids tries=0
    [ -s "$LEFT_FILE" ] || return 0
    while read -r group; do
        pids="$(left_of "$group")"
        [ -n "$pids" ] || continue
        say "Ending what a run before left behind"
        # shellcheck disable=SC2086
        kill -TERM $pids 2>/dev/null || true
        until [ -z "$(left_of "$group")" ]; do
            tries=$((tries + 1))
            # shellcheck disable=SC2046
            [ "$tries" -lt 80 ] || kill -KILL $(left_of "$group") 2>/dev/null || true
            sleep 0.25
        done
    done <"$LEFT_FILE"
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local port="$1"; while ! port_is_free "$port"; do port=$((port + 1)); done; echo "$port"; }

# secret FILE: its contents, made at the first call; only its owner can read it.
secret() {
    if [ ! -s "$1" ]; then
        mkdir -p "$(dirname "$1")"
        (umask 077 && php -r 'echo bin2hex(random_bytes(24));' >"$1.new" && mv "$1.new" "$1")
    fi
    chmod 600 "$1"
    cat "$1"
}

# start_mariadb DATA_DIRECTORY FIRST_PORT : on loopback; sets DB_PORT.
# Root comes in by the socket alone, which lies in a directory that no one else can enter; the application has a password of
# its own, made at the first start and kept beside the data. A data directory from before that is brought over.
start_mariadb() {
    local data="$ROOT/$1" port run socket server password
    server="$(command -v mariadbd || echo /usr/sbin/mariadbd)"
    port="$(free_port "$2")"
    run="$(mktemp -d "${TMPDIR:-/tmp}/diatherm-XXXXXX")"
    chmod 700 "$run"
    socket="$run/db.sock"
    SOCKETS+=("$run")
    password="$(secret "$data.secret")"
    local flags=(--no-defaults --datadir="$data" --user="$(id -un)")
    if [ ! -d "$data/mysql" ]; then
        say "Making the database"
        mkdir -p "$data"
        chmod 700 "$data"
        mariadb-install-db "${flags[@]}" --auth-root-authentication-method=normal --skip-test-db >"$ROOT/storage/mariadb-install.log" 2>&1 \
            || fail "the database could not be made; see storage/mariadb-install.log."
    fi
    chmod 700 "$data"
    # Nobody gets in by the network before the accounts are closed.
    local host
    {
        echo "alter user root@localhost identified via unix_socket;"
        for host in 127.0.0.1 ::1 "$(hostname)"; do echo "drop user if exists root@'$host';"; done
        for host in localhost "$(hostname)"; do echo "drop user if exists ''@'$host';"; done
        echo "create database if not exists diatherm character set utf8mb4;"
        for host in 127.0.0.1 localhost; do
            echo "create user if not exists diatherm@'$host';"
            echo "alter user diatherm@'$host' identified by '$password';"
            echo "grant all on diatherm.* to diatherm@'$host';"
            # Where a backup is tried.
            echo "grant all on diatherm_check.* to diatherm@'$host';"
        done
    } >"$run/accounts.sql"
    chmod 600 "$run/accounts.sql"
    apart "$data.log" "$server" "${flags[@]}" --bind-address=127.0.0.1 --port="$port" --socket="$socket" --pid-file="$data/mariadbd.pid" \
        --init-file="$run/accounts.sql" --secure-file-priv="$run" --local-infile=0 \
        --innodb-flush-log-at-trx-commit="${DB_FLUSH:-1}" --skip-log-bin --character-set-server=utf8mb4
    # For what is run beside it, such as a backup.
    echo "$port" >"$data.port"
    export DB_PORT="$port" DB_HOST=127.0.0.1 DB_DATABASE=diatherm DB_USERNAME=diatherm DB_PASSWORD="$password"
    local tries=0
    until MYSQL_PWD="$password" mariadb --no-defaults --protocol=tcp -h127.0.0.1 -P"$port" -udiatherm diatherm -e 'select 1' >/dev/null 2>&1; do
        tries=$((tries + 1))
        [ "$tries" -lt 960 ] && kill -0 "${STARTED_GROUPS[-1]}" 2>/dev/null || fail "the database does not answer; see $1.log."
        sleep 0.25
    done
    # A test may stop it and start it anew.
    PID_FILES+=("$data/mariadbd.pid")
    rm -f "$run/accounts.sql"
}

# database_at_hand : the one that DB_PASSWORD and its like name, or that bin/start or bin/serve runs from this folder.
database_at_hand() {
    if [ -z "${DB_PASSWORD:-}" ]; then
        [ -s storage/mariadb.port ] && [ -s storage/mariadb.secret ] || fail "no database has been started from this folder."
        DB_PASSWORD="$(cat storage/mariadb.secret)"
        DB_PORT="$(cat storage/mariadb.port)"
    fi
    export DB_PASSWORD DB_HOST="${DB_HOST:-127.0.0.1}" DB_PORT="${DB_PORT:-3306}"
    export DB_DATABASE="${DB_DATABASE:-diatherm}" DB_USERNAME="${DB_USERNAME:-diatherm}"
    export APP_ENV="${APP_ENV:-production}"
    sql "$DB_DATABASE" -e 'select 1' >/dev/null 2>&1 || fail "the database does not answer at $DB_HOST:$DB_PORT."
}

# by_network COMMAND… : mariadb, or one of its tools, at the database at hand.
by_network() { MYSQL_PWD="$DB_PASSWORD" "$1" --no-defaults --protocol=tcp -h"$DB_HOST" -P"$DB_PORT" -u"$DB_USERNAME" "${@:2}"; }
sql() { by_network mariadb "$@"; }

# Sessions, caches and half-finished changes of passwords are no part of a kitchen.
PASSING=(sessions cache cache_locks password_reset_tokens)

# backup_to FILE : as it stood at one moment; written beside and moved, so that a file of that name is a whole one.
backup_to() {
    local table ignored=()
    for table in "${PASSING[@]}"; do ignored+=("--ignore-table-data=$DB_DATABASE.$table"); done
    (
        umask 077
        by_network mariadb-dump --single-transaction --quick --hex-blob --no-tablespaces --skip-dump-date --order-by-primary "${ignored[@]}" "$DB_DATABASE" | gzip >"$1.part"
    ) || { rm -f "$1.part"; fail "the backup could not be written."; }
    mv "$1.part" "$1"
}

# restore_into FILE DATABASE : what was in that database goes.
restore_into() {
    sql -e "drop database if exists \`$2\`; create database \`$2\` character set utf8mb4 collate utf8mb4_unicode_ci"
    gzip -dc "$1" | sql "$2" || fail "the backup could not be read."
}

# counted DATABASE [TABLE…] : how many rows each table of the kitchens has.
counted() {
    local database="$1" table line=''
    shift
    [ $# -gt 0 ] || set -- users roasts readings events cookers cooker_observations mixes own_sides devices
    for table in "$@"; do line="$line$table $(sql "$database" -N -e "select count(*) from $table"), "; done
    printf '%s' "${line%, }"
}

# migrate : brings the tables up to this version, after a backup where that changes anything.
migrate() {
    if sql "$DB_DATABASE" -N -e "show tables like 'roasts'" | grep -q . && php artisan migrate:status --pending 2>/dev/null | grep -q 'Pending'; then
        mkdir -p storage/backups
        backup_to "storage/backups/before-migrate-$(date -u +%Y%m%d-%H%M%S).sql.gz"
    fi
    php artisan migrate --force --quiet
}

install_server() {
    command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] || MORE_PACKAGES+=(nginx-light)
    [ -x /usr/sbin/php-fpm8.2 ] || MORE_PACKAGES+=(php8.2-fpm)
    install_packages no
}

# serve_behind_nginx PORT WORKERS : sets SERVE_RUN, where its sockets and process ids lie.
serve_behind_nginx() {
    local port="$1" workers="$2" user='' root_flag=() tries=0 fpm
    SERVE_RUN="$(mktemp -d "${TMPDIR:-/tmp}/diatherm-XXXXXX")"
    SOCKETS+=("$SERVE_RUN")
    mkdir -p storage/logs
    # In a container one is root; on a host the unit of deploy/systemd names a user of its own.
    if [ "$(id -u)" -eq 0 ]; then user=$'user = root\ngroup = root'; root_flag=(-R); fi
    fill() {
        local text
        text="$(cat "$1")"
        text="${text//@RUN@/$SERVE_RUN}"; text="${text//@ROOT@/$ROOT}"; text="${text//@PORT@/$port}"
        text="${text//@WORKERS@/$workers}"; text="${text//@USER@/$user}"; text="${text//@MIME@//etc/nginx/mime.types}"
        printf '%s\n' "$text"
    }
    fill deploy/php-fpm.conf >"$SERVE_RUN/php-fpm.conf"
    fill deploy/nginx.conf >"$SERVE_RUN/nginx.conf"
    [ "$(id -u)" -ne 0 ] || sed -i '1i user root;' "$SERVE_RUN/nginx.conf"
    cp /etc/nginx/fastcgi_params "$SERVE_RUN/"
    fpm="$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)"
    local log
    for log in fpm nginx; do (umask 077 && : >>"storage/logs/$log.log") && chmod 600 "storage/logs/$log.log"; done
    apart /dev/null "$fpm" "${root_flag[@]}" "${PHP_FAST[@]}" -d opcache.validate_timestamps=0 -F -y "$SERVE_RUN/php-fpm.conf"
    until [ -S "$SERVE_RUN/fpm.sock" ]; do tries=$((tries + 1)); [ "$tries" -lt 120 ] || fail "PHP-FPM did not start; see storage/logs/fpm.log."; sleep 0.25; done
    apart /dev/null "$(command -v nginx || echo /usr/sbin/nginx)" -c "$SERVE_RUN/nginx.conf" -p "$SERVE_RUN" -e "$ROOT/storage/logs/nginx.log" -g 'daemon off;'
    wait_until_up "$port" storage/logs/nginx.log
}

# The JIT halves the time of the heat model's loops. Tracing, but without register allocation and without inference across
# functions (1052): with both of them PHP 8.2 now and then compiled the sum over a fire's squares to nothing.
# Workers share what they count.
PHP_FAST=(-d expose_php=0 -d apc.enable_cli=1 -d zend.exception_ignore_args=1 -d opcache.enable=1 -d opcache.enable_cli=1 -d opcache.jit=1052 -d opcache.jit_buffer_size=64M)

# serve PORT WORKERS LOG
serve() {
    PHP_CLI_SERVER_WORKERS="$2" apart "$3" php "${PHP_FAST[@]}" -d memory_limit=256M -d upload_max_filesize=2M -d post_max_size=24M \
        -S "127.0.0.1:$1" -t public bin/lib/router.php
    wait_until_up "$1" "$3"
}

# workers_of SERVER : how many it has that live; it keeps those that died as a name.
workers_of() {
    local pid many=0
    for pid in $(cat "/proc/$1/task/$1/children" 2>/dev/null); do
        grep -q '^State:.[^ZX]' "/proc/$pid/status" 2>/dev/null && many=$((many + 1))
    done
    echo "$many"
}

# watch_over PORT WORKERS LOG : the server that was started last, for good. It makes no new worker for one that died, so it is started anew.
watch_over() {
    local server
    while true; do
        server="${STARTED_GROUPS[-1]}"
        sleep 2 9>&- &
        wait $!
        [ "$(workers_of "$server")" -lt "$2" ] || continue
        say "A worker has ended: starting the server anew"
        kill -TERM -- "-$server" 2>/dev/null || true
        wait "$server" 2>/dev/null || true
        serve "$@"
    done
}

wait_until_up() {
    local tries=0
    until php -r 'exit(@file_get_contents($argv[1]) === false ? 1 : 0);' "http://127.0.0.1:$1/up"; do
        tries=$((tries + 1))
        [ "$tries" -lt 480 ] || { tail -5 "$2" >&2; fail "the server does not answer."; }
        sleep 0.25
    done
}

# Ends only what was started here: each was given a process group of its own.
stop_all() {
    local group
    for group in "${STARTED_GROUPS[@]}"; do kill -TERM -- "-$group" 2>/dev/null || true; done
    local file
    for file in "${PID_FILES[@]}"; do [ -s "$file" ] && kill -TERM "$(cat "$file")" 2>/dev/null || true; done
    for group in "${STARTED_GROUPS[@]}"; do wait "$group" 2>/dev/null || true; done
    for group in "${SOCKETS[@]}"; do rm -rf "$group"; done
}
