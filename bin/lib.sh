# What bin/start, bin/test, bin/bench and bin/database share. Sourced, not run.

set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
export COMPOSER_ALLOW_SUPERUSER=1

DATABASE_DIR=$ROOT/storage/database
# pcov, where it is installed, keeps the JIT from starting.
JIT=(-d pcov.enabled=0 -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M)

say() { printf '  %s\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

free_port() { # free_port FIRST: the first free port from FIRST on
    local port=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do port=$((port + 1)); done
    echo "$port"
}

wait_for_port() { # wait_for_port PORT SECONDS
    local i
    for ((i = 0; i < $2 * 10; i++)); do
        (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null && return 0
        sleep 0.1
    done
    return 1
}

# ---- what has to be on the machine -------------------------------------------------------------------------------------

ensure_packages() { # ensure_packages [tests]
    local missing=() extension modules
    command -v php >/dev/null || missing+=(php8.2-cli)
    modules=$(php -m 2>/dev/null || true)
    for extension in mbstring intl curl zip; do
        grep -qix "$extension" <<<"$modules" || missing+=("php8.2-$extension")
    done
    grep -qix pdo_mysql <<<"$modules" || missing+=(php8.2-mysql)
    grep -qix dom <<<"$modules" || missing+=(php8.2-xml)
    command -v php-fpm8.2 >/dev/null || [ -x /usr/sbin/php-fpm8.2 ] || missing+=(php8.2-fpm)
    command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] || missing+=(nginx-light)
    command -v mariadbd >/dev/null || [ -x /usr/sbin/mariadbd ] || missing+=(mariadb-server)
    command -v composer >/dev/null || missing+=(composer)
    command -v node >/dev/null || missing+=(nodejs)
    command -v npm >/dev/null || missing+=(npm)
    command -v unzip >/dev/null || missing+=(unzip)
    if [ "${1:-}" = tests ]; then
        command -v chromium >/dev/null || missing+=(chromium)
        command -v chromedriver >/dev/null || missing+=(chromium-driver)
        command -v redis-server >/dev/null || missing+=(redis-server)
    fi
    if [ ${#missing[@]} -gt 0 ]; then
        local install=(apt-get install -y -qq --no-install-recommends "${missing[@]}")
        say "installing Debian packages: ${missing[*]}"
        if [ "$(id -u)" = 0 ]; then
            apt_install "" || fail "apt-get could not install ${missing[*]}. Look at storage/logs/apt.log, then run this again."
        elif sudo -n true 2>/dev/null; then
            apt_install sudo || fail "apt-get could not install ${missing[*]}. Look at storage/logs/apt.log, then run this again."
        else
            fail "Some packages are missing. Ask an administrator to run: sudo ${install[*]}"
        fi
    fi
    export PATH=$PATH:/usr/sbin
    local version
    version=$(node -p 'process.versions.node.split(".")[0]')
    [ "$version" -ge 20 ] || fail "Node.js $version is too old: install Node.js 20 or newer, then run this again."
}

apt_install() { # apt_install SUDO; uses $missing of the caller
    mkdir -p storage/logs
    # RUNLEVEL=1 keeps Debian from starting system services we do not use.
    $1 env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 sh -c \
        "apt-get update -qq && apt-get install -y -qq --no-install-recommends ${missing[*]}" >storage/logs/apt.log 2>&1
}

stamped() { # stamped NAME HASH COMMAND...: runs the command unless it has been run for this hash
    local file=storage/stamps/$1 hash=$2
    shift 2
    [ -f "$file" ] && [ "$(cat "$file")" = "$hash" ] && return 0
    "$@" || return 1
    mkdir -p storage/stamps
    echo "$hash" >"$file"
}

install_php() {
    say 'installing PHP packages (composer)'
    composer update --no-interaction --no-progress --quiet
}

install_node() {
    say 'installing front-end packages (npm)'
    npm ci --no-audit --no-fund --loglevel=error >storage/logs/npm.log 2>&1
}

build_front_end() {
    say 'building the front end'
    { npm run --silent types && npm run --silent build; } >storage/logs/build.log 2>&1
}

ensure_dependencies() {
    mkdir -p storage/{app/originals,app/published,framework/{cache/data,sessions,views},logs,stamps}
    [ -d vendor ] || rm -f storage/stamps/composer
    [ -d node_modules ] || rm -f storage/stamps/npm
    [ -f public/build/manifest.json ] && [ -f bootstrap/ssr/server.js ] && [ -f resources/js/api/schema.ts ] || rm -f storage/stamps/build
    stamped composer "$(sha256sum <composer.json)" install_php || fail 'Composer could not install the PHP packages; its message is above.'
    stamped npm "$(sha256sum <package-lock.json)" install_node || fail 'npm could not install the front-end packages. Look at storage/logs/npm.log.'
    stamped build "$(find resources docs/openapi.yaml vite.config.ts package-lock.json tsconfig.json -type f ! -path resources/js/api/schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)" \
        build_front_end || fail 'The front end could not be built. Look at storage/logs/build.log.'
}

set_env() { # set_env KEY VALUE: in .env
    if grep -q "^$1=" .env; then
        sed -i "s|^$1=.*|$1=$2|" .env
    else
        printf '%s=%s\n' "$1" "$2" >>.env
    fi
}

ensure_env() {
    [ -f .env ] || cp .env.example .env
    chmod 600 .env
    grep -q '^APP_KEY=base64:' .env || set_env APP_KEY "base64:$(php -r 'echo base64_encode(random_bytes(32));')"
    grep -q '^DB_PASSWORD=.\+' .env || set_env DB_PASSWORD "$(php -r 'echo bin2hex(random_bytes(16));')"
}

# ---- the private database ----------------------------------------------------------------------------------------------

database_user() {
    # mariadbd refuses to run as root unless told to; where its own user cannot reach the folder, root it is.
    if [ "$(id -u)" = 0 ]; then
        if id mysql >/dev/null 2>&1 && setpriv --reuid=mysql --clear-groups test -x "$ROOT/storage" 2>/dev/null; then echo mysql; else echo root; fi
    else
        id -un
    fi
}

database_running() { # the number may be another program's by now
    [ -f "$DATABASE_DIR/pid" ] && [ "$(cat "/proc/$(cat "$DATABASE_DIR/pid")/comm" 2>/dev/null)" = mariadbd ]
}

database_start() { # prints nothing; leaves the port in .env
    ensure_env
    database_running && [ -f "$DATABASE_DIR/port" ] && { set_env DB_PORT "$(cat "$DATABASE_DIR/port")"; return 0; }
    local user port socket fresh=no
    mkdir -p "$DATABASE_DIR"
    user=$(database_user)
    if [ ! -d "$DATABASE_DIR/data/mysql" ]; then
        fresh=yes
        rm -rf "$DATABASE_DIR/data"
        mkdir -p "$DATABASE_DIR/data"
        [ "$(id -u)" != 0 ] || chown "$user" "$DATABASE_DIR" "$DATABASE_DIR/data"
        mariadb-install-db --no-defaults --auth-root-authentication-method=normal --skip-test-db --user="$user" \
            --datadir="$DATABASE_DIR/data" >storage/logs/database.log 2>&1 \
            || fail 'The database could not be created. Look at storage/logs/database.log.'
    fi
    port=$(free_port 13460)
    # Socket paths are short by law of the kernel; the checkout's may be long.
    socket=$(mktemp -u "${TMPDIR:-/tmp}/anthesis-XXXXXX.sock")
    mariadbd --no-defaults --user="$user" --datadir="$DATABASE_DIR/data" --socket="$socket" --pid-file="$DATABASE_DIR/data/pid" \
        --bind-address=127.0.0.1 --port="$port" --skip-log-bin --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-buffer-pool-size=256M --innodb-flush-log-at-trx-commit=2 --max-allowed-packet=64M >>storage/logs/database.log 2>&1 &
    local pid=$!
    disown "$pid"
    wait_for_port "$port" 60 || fail 'The database did not start within a minute. Look at storage/logs/database.log.'
    echo "$pid" >"$DATABASE_DIR/pid"
    echo "$port" >"$DATABASE_DIR/port"
    echo "$socket" >"$DATABASE_DIR/socket"
    set_env DB_PORT "$port"
    local password
    password=$(sed -n 's/^DB_PASSWORD=//p' .env)
    local name sql=''
    for name in anthesis anthesis_test anthesis_browser; do
        sql+="CREATE DATABASE IF NOT EXISTS $name; "
    done
    sql+="CREATE USER IF NOT EXISTS 'anthesis'@'127.0.0.1'; ALTER USER 'anthesis'@'127.0.0.1' IDENTIFIED BY '$password'; "
    sql+="CREATE USER IF NOT EXISTS 'anthesis'@'localhost'; ALTER USER 'anthesis'@'localhost' IDENTIFIED BY '$password'; "
    for name in anthesis anthesis_test anthesis_browser; do
        sql+="GRANT ALL ON \`$name%\`.* TO 'anthesis'@'127.0.0.1'; GRANT ALL ON \`$name%\`.* TO 'anthesis'@'localhost'; "
    done
    mariadb --no-defaults --socket="$socket" --user=root -e "$sql" || fail 'The database started but its accounts could not be made.'
}

database_stop() {
    local i
    if database_running; then
        kill "$(cat "$DATABASE_DIR/pid")" 2>/dev/null || true
        for ((i = 0; i < 300; i++)); do database_running || break; sleep 0.1; done
    fi
    rm -f "$DATABASE_DIR/pid" "$DATABASE_DIR/port" "$DATABASE_DIR/socket"
}

# ---- serving -----------------------------------------------------------------------------------------------------------

SERVED=() # processes to stop

serve() { # serve NAME PORT: nginx, php-fpm and queue workers, with the environment of the caller
    local name=$1 port=$2 run=$ROOT/storage/run/$1 socket user_line='' as_root=()
    rm -rf "$run"
    mkdir -p "$run"/{body,tmp}
    socket=$(mktemp -u "${TMPDIR:-/tmp}/anthesis-$name-XXXXXX.sock")
    if [ "$(id -u)" = 0 ]; then
        as_root=(--allow-to-run-as-root)
        user_line=$'user = root\ngroup = root'
    fi
    cat >"$run/fpm.conf" <<EOF
[global]
error_log = $ROOT/storage/logs/fpm-$name.log
daemonize = no
[www]
$user_line
listen = $socket
listen.mode = 0600
pm = ondemand
pm.max_children = 8
pm.process_idle_timeout = 30s
clear_env = no
catch_workers_output = yes
php_admin_value[memory_limit] = 256M
php_admin_value[upload_max_filesize] = 256M
php_admin_value[post_max_size] = 260M
php_admin_value[expose_php] = off
EOF
    cat >"$run/nginx.conf" <<EOF
$([ "$(id -u)" = 0 ] && echo 'user root;')
worker_processes 2;
daemon off;
pid $run/nginx.pid;
error_log $ROOT/storage/logs/nginx-$name.log warn;
events { worker_connections 256; }
http {
    types {
        text/html html; text/css css; text/javascript js; application/json json; image/svg+xml svg; font/woff2 woff2; text/plain txt;
    }
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    sendfile on;
    gzip on;
    gzip_types text/css text/javascript application/json image/svg+xml text/calendar text/csv;
    client_max_body_size 256m;
    client_body_temp_path $run/body;
    proxy_temp_path $run/tmp/proxy;
    fastcgi_temp_path $run/tmp/fastcgi;
    uwsgi_temp_path $run/tmp/uwsgi;
    scgi_temp_path $run/tmp/scgi;
    server {
        listen 127.0.0.1:$port;
        root $ROOT/public;
        error_page 413 @too_large;
        location @too_large {
            default_type application/json;
            return 413 '{"message":"The file is larger than 256 MiB. Bring one station’s daily table."}';
        }
        location /build/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
        }
        location / { try_files \$uri @app; add_header X-Content-Type-Options nosniff; }
        location @app {
            fastcgi_pass unix:$socket;
            fastcgi_buffers 16 64k;
            fastcgi_buffer_size 64k;
            fastcgi_read_timeout 120s;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param QUERY_STRING \$query_string;
            fastcgi_param REQUEST_METHOD \$request_method;
            fastcgi_param CONTENT_TYPE \$content_type;
            fastcgi_param CONTENT_LENGTH \$content_length;
            fastcgi_param REQUEST_URI \$request_uri;
            fastcgi_param DOCUMENT_ROOT \$document_root;
            fastcgi_param SERVER_PROTOCOL \$server_protocol;
            fastcgi_param REMOTE_ADDR \$remote_addr;
            fastcgi_param SERVER_NAME \$server_name;
            fastcgi_param SERVER_PORT \$server_port;
            fastcgi_param HTTP_HOST \$http_host;
        }
    }
}
EOF
    php-fpm8.2 "${JIT[@]}" --nodaemonize "${as_root[@]}" --fpm-config "$run/fpm.conf" >"$ROOT/storage/logs/fpm-$name.out" 2>&1 &
    SERVED+=($!)
    nginx -c "$run/nginx.conf" -e "$ROOT/storage/logs/nginx-$name.log" &
    SERVED+=($!)
    # Workers share the work. One ends by itself when it has used much memory; another takes its place.
    local worker
    for ((worker = 1; worker <= ${WORKERS:-2}; worker++)); do
        (
            trap 'kill $! 2>/dev/null; exit 0' TERM INT
            while :; do
                php "${JIT[@]}" artisan queue:work --sleep=0.2 --tries=3 &
                wait $! || true
                sleep 1
            done
        ) >>"$ROOT/storage/logs/worker-$name-$worker.log" 2>&1 &
        SERVED+=($!)
    done
    local i
    for ((i = 0; i < 200; i++)); do
        php -r 'exit(@file_get_contents($argv[1]) === false ? 1 : 0);' "http://127.0.0.1:$port/up" && return 0
        sleep 0.1
    done
    fail "The web server does not answer. Look at storage/logs/nginx-$name.log and fpm-$name.out."
}

stop_serving() {
    local pid i
    for pid in "${SERVED[@]}"; do kill "$pid" 2>/dev/null || true; done
    # Looked at rather than waited for: inside a trap that broke off a wait, bash may wait for ever for what has ended.
    for pid in "${SERVED[@]}"; do
        for ((i = 0; i < 100; i++)); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
        kill -9 "$pid" 2>/dev/null || true
    done
    SERVED=()
}
