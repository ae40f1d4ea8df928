# What bin/start, bin/test, bin/bench, and bin/database have in common. Sourced, not run.

set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
export COMPOSER_ALLOW_SUPERUSER=1

DATABASE_DIR=$ROOT/storage/database
# pcov, where it is installed, keeps the JIT from starting. By default the JIT stops compiling after so many traces and exits; a process that
# computes whole zones reaches those limits, and whatever it runs for the first time after that is two to three times slower.
JIT=(-d pcov.enabled=0 -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M
    -d opcache.jit_max_root_traces=8192 -d opcache.jit_max_side_traces=1024 -d opcache.jit_max_exit_counters=65536)

say() { printf '  %s\n' "$*"; }

step() { # step WORDS COMMAND...: says how long it took, where that was worth waiting for
    local words=$1 began=$SECONDS
    shift
    "$@" || return
    [ $((SECONDS - began)) -lt 2 ] || say "$words: $((SECONDS - began)) s"
}
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

runs() { # runs FILE: whether the program whose number the file begins with runs in this folder
    local pid rest
    [ -f "$1" ] && read -r pid rest <"$1" && [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$ROOT" ]
}

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
    for extension in mbstring intl curl zip gd; do
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
    # The first starts faster; the second prints the same. The browser's tests need both.
    command -v chromium-headless-shell >/dev/null || { command -v chromium >/dev/null && [ "${1:-}" != tests ]; } || missing+=(chromium-headless-shell)
    command -v unzip >/dev/null || missing+=(unzip)
    if [ "${1:-}" = tests ]; then
        command -v chromedriver >/dev/null || missing+=(chromium-driver)
        command -v pdftotext >/dev/null || missing+=(poppler-utils)
        command -v redis-server >/dev/null || missing+=(redis-server)
    fi
    if [ ${#missing[@]} -gt 0 ]; then
        local install=(apt-get install -y -qq --no-install-recommends "${missing[@]}")
        say "installing Debian packages: ${missing[*]}"
        if [ "$(id -u)" = 0 ]; then
            apt_install "" || fail "apt-get could not install ${missing[*]}. Read storage/logs/apt.log, then run this again."
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

php_versions() { # of every package that is installed, a line each
    composer show --format=json | php -r 'foreach (json_decode(stream_get_contents(STDIN), true)["installed"] as $p) { echo $p["name"], " ", $p["version"], "\n"; }' | LC_ALL=C sort
}

install_php() { # exactly the versions of composer.versions, so that a build of next month is the one of today
    local pins=() name version
    say 'installing PHP packages (composer)'
    while read -r name version; do pins+=(--with "$name:${version#v}"); done <composer.versions
    composer update --no-interaction --no-progress --quiet "${pins[@]}" || return 1
    diff <(php_versions) composer.versions >storage/logs/composer.log \
        || fail 'The installed PHP packages differ from composer.versions. Read storage/logs/composer.log; bin/pin-packages writes a new list.'
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
    [ -f public/build/manifest.json ] && [ -f public/worker.js ] && [ -f bootstrap/ssr/server.js ] && [ -f resources/js/api/schema.ts ] || rm -f storage/stamps/build
    # The front end is installed and built while Composer installs the PHP packages.
    local front
    ensure_front_end &
    front=$!
    stamped composer "$(sha256sum <<<"$(cat composer.json composer.versions)")" install_php || {
        kill "$front" 2>/dev/null || true
        fail 'Composer could not install the PHP packages; its message is above. If a version is no longer available, bin/pin-packages takes newer ones.'
    }
    # It has said why.
    wait "$front" || exit 1
}

ensure_front_end() {
    stamped npm "$(sha256sum <package-lock.json)" install_node || fail 'npm could not install the front-end packages. Look at storage/logs/npm.log.'
    stamped build "$(find resources lang docs/openapi.yaml vite.config.ts vite.worker.config.ts package-lock.json tsconfig.json -type f ! -path resources/js/api/schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)" \
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
    # Logs of earlier releases grew forever.
    sed -i 's/^LOG_CHANNEL=single$/LOG_CHANNEL=daily/' .env
    grep -q '^APP_KEY=base64:' .env || set_env APP_KEY "base64:$(php -r 'echo base64_encode(random_bytes(32));')"
    local key
    for key in DB_PASSWORD DB_OWNER_PASSWORD ANTHESIS_SEAL_KEY; do
        grep -q "^$key=.\+" .env || set_env "$key" "$(php -r 'echo bin2hex(random_bytes(24));')"
    done
}

# ---- the private database ----------------------------------------------------------------------------------------------

database_user() {
    # mariadbd refuses to run as root unless told to. If its own user cannot reach the folder, it has to.
    if [ "$(id -u)" = 0 ]; then
        if id mysql >/dev/null 2>&1 && setpriv --reuid=mysql --clear-groups test -x "$ROOT/storage" 2>/dev/null; then echo mysql; else echo root; fi
    else
        id -un
    fi
}

database_running() { # the number may be another program's by now
    [ -f "$DATABASE_DIR/pid" ] && [ "$(cat "/proc/$(cat "$DATABASE_DIR/pid")/comm" 2>/dev/null)" = mariadbd ]
}

database_prepare() { # makes the data folder, chooses port and socket, writes down who may do what
    ensure_env
    local user socket
    mkdir -p "$DATABASE_DIR"
    user=$(database_user)
    if [ ! -d "$DATABASE_DIR/data/mysql" ]; then
        rm -rf "$DATABASE_DIR/data"
        mkdir -p "$DATABASE_DIR/data"
        [ "$(id -u)" != 0 ] || chown "$user" "$DATABASE_DIR" "$DATABASE_DIR/data"
        mariadb-install-db --no-defaults --auth-root-authentication-method=socket --skip-test-db --user="$user" \
            --datadir="$DATABASE_DIR/data" >storage/logs/database.log 2>&1 \
            || fail 'The database could not be created. Look at storage/logs/database.log.'
    fi
    chmod 700 "$DATABASE_DIR" "$DATABASE_DIR/data"
    # The kernel only allows short socket paths, and the checkout's may be long, so the socket gets its own folder, closed to everybody else.
    socket=$(mktemp -d "${TMPDIR:-/tmp}/anthesis-XXXXXX")/database.sock
    [ "$(id -u)" != 0 ] || chown "$user" "$(dirname "$socket")"
    echo "$socket" >"$DATABASE_DIR/socket"
    free_port 13460 >"$DATABASE_DIR/port"
    set_env DB_PORT "$(cat "$DATABASE_DIR/port")"
    database_accounts >"$DATABASE_DIR/accounts.sql"
    chmod 600 "$DATABASE_DIR/accounts.sql"
    [ "$(id -u)" != 0 ] || chown "$user" "$DATABASE_DIR/accounts.sql"
}

database_accounts() { # run by the server itself as it starts: nobody needs a password for it, and none is left without one
    local me password owner name
    me=$(id -un)
    password=$(sed -n 's/^DB_PASSWORD=//p' .env)
    owner=$(sed -n 's/^DB_OWNER_PASSWORD=//p' .env)
    # Whoever started the server administers it, only through the socket.
    echo "CREATE USER IF NOT EXISTS '$me'@'localhost' IDENTIFIED VIA unix_socket;"
    echo "ALTER USER '$me'@'localhost' IDENTIFIED VIA unix_socket;"
    echo "GRANT ALL PRIVILEGES ON *.* TO '$me'@'localhost' WITH GRANT OPTION;"
    [ "$me" = root ] || echo "DROP USER IF EXISTS 'root'@'localhost';"
    echo "DROP USER IF EXISTS 'root'@'127.0.0.1', 'root'@'::1', 'root'@'$(hostname)', ''@'localhost', ''@'$(hostname)';"
    for name in anthesis anthesis_test anthesis_test_{1..8} anthesis_browser anthesis_empty; do echo "CREATE DATABASE IF NOT EXISTS $name;"; done
    # The application reads and writes rows. Their owner creates and changes tables, as part of an update.
    echo "CREATE OR REPLACE USER 'anthesis'@'127.0.0.1' IDENTIFIED BY '$password';"
    echo "CREATE OR REPLACE USER 'anthesis_owner'@'127.0.0.1' IDENTIFIED BY '$owner';"
    echo "DROP USER IF EXISTS 'anthesis'@'localhost';"
    for name in 'anthesis' 'anthesis\_browser' 'anthesis\_empty'; do
        echo "GRANT SELECT, INSERT, UPDATE, DELETE ON \`$name\`.* TO 'anthesis'@'127.0.0.1';"
        echo "GRANT ALL ON \`$name\`.* TO 'anthesis_owner'@'127.0.0.1';"
    done
    echo "GRANT ALL ON \`anthesis\_test%\`.* TO 'anthesis'@'127.0.0.1';"
}

database_exec() { # becomes the server
    [ -f "$DATABASE_DIR/accounts.sql" ] && [ -d "$(dirname "$(cat "$DATABASE_DIR/socket")")" ] || database_prepare
    echo $$ >"$DATABASE_DIR/pid"
    exec mariadbd --no-defaults --user="$(database_user)" --datadir="$DATABASE_DIR/data" --socket="$(cat "$DATABASE_DIR/socket")" \
        --pid-file="$DATABASE_DIR/data/pid" --bind-address=127.0.0.1 --port="$(cat "$DATABASE_DIR/port")" --init-file="$DATABASE_DIR/accounts.sql" \
        --skip-log-bin --skip-symbolic-links --local-infile=0 --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-buffer-pool-size=256M --innodb-flush-log-at-trx-commit=2 --max-allowed-packet=64M
}

database_start() { # prints nothing; leaves the port in .env; whatever ends the server, it is started again
    ensure_env
    database_running && [ -f "$DATABASE_DIR/port" ] && { set_env DB_PORT "$(cat "$DATABASE_DIR/port")"; return 0; }
    database_prepare
    supervise database bin/service database
    echo "$SUPERVISOR" >"$DATABASE_DIR/supervisor"
    disown "$SUPERVISOR"
    wait_for_port "$(cat "$DATABASE_DIR/port")" 60 || fail 'The database did not start within a minute. Look at storage/logs/database.log.'
}

owner() { # owner COMMAND...: with the database account that may make and change tables
    DB_USERNAME=anthesis_owner DB_PASSWORD=$(sed -n 's/^DB_OWNER_PASSWORD=//p' .env) "$@"
}

database_stop() {
    local i
    [ ! -f "$DATABASE_DIR/supervisor" ] || kill "$(cat "$DATABASE_DIR/supervisor")" 2>/dev/null || true
    if database_running; then
        kill "$(cat "$DATABASE_DIR/pid")" 2>/dev/null || true
        for ((i = 0; i < 300; i++)); do database_running || break; sleep 0.1; done
    fi
    [ ! -f "$DATABASE_DIR/socket" ] || rmdir "$(dirname "$(cat "$DATABASE_DIR/socket")")" 2>/dev/null || true
    rm -f "$DATABASE_DIR"/{pid,port,socket,supervisor,accounts.sql}
}

# ---- serving -----------------------------------------------------------------------------------------------------------

service_user() { # who serves: whoever starts it, but a user of its own for root, who would give the whole machine away; root where no other can reach the folder
    if [ "$(id -u)" != 0 ]; then
        id -un
    elif { id anthesis || useradd --system --user-group --create-home --shell /usr/sbin/nologin anthesis; } >/dev/null 2>&1 \
        && setpriv --reuid=anthesis --regid=anthesis --clear-groups test -r "$ROOT/artisan" -a -x "$ROOT/storage" 2>/dev/null; then
        echo anthesis
    else
        echo root
    fi
}

give_to() { # give_to USER: what the programs write, and the settings they read; packages, which some archives keep to their owner, are for all to read
    [ "$(id -u)" = 0 ] || return 0
    chown -R "$1:" storage/app storage/framework storage/logs storage/run bootstrap/cache .env
    chmod -R a+rX vendor node_modules public bootstrap
}

not_as_root() { # not_as_root COMMAND...: becomes the command, as the user the folder's storage was given to
    local user
    user=$(stat -c %U storage/logs)
    if [ "$(id -u)" = 0 ] && [ "$user" != root ]; then
        exec setpriv --reuid="$user" --regid="$user" --init-groups env HOME="$(getent passwd "$user" | cut -d: -f6)" "$@"
    fi
}

SERVED=() # processes to stop

GROUPS_DIR=$ROOT/storage/run/groups # the process group of each program that is supervised, by name

end_group() { # end_group NAME: whatever is left of a program and of what it started
    local file=$GROUPS_DIR/$1 group pid
    [ -f "$file" ] || return 0
    group=$(cat "$file")
    # The number may belong to another program by now. Ours run in this folder.
    for pid in $(group_members "$group"); do
        [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" != "$ROOT" ] || { kill -KILL -- "-$group" 2>/dev/null || true; break; }
    done
    rm -f "$file"
}

group_members() { # group_members GROUP
    local stat pid rest
    for stat in /proc/[0-9]*/stat; do
        { read -r pid rest <"$stat"; } 2>/dev/null || continue
        # The program's name is in parentheses, and may have spaces.
        read -r _ _ rest _ <<<"${rest##*) }"
        [ "$rest" != "$1" ] || echo "$pid"
    done
}

supervise() { # supervise NAME COMMAND...: keeps it running, waiting longer each time it ends soon; its number is left in SUPERVISOR
    local name=$1 log=$ROOT/storage/logs/$1.log
    shift
    mkdir -p "$GROUPS_DIR"
    end_group "$name"
    (
        set +e
        trap 'kill "$child" 2>/dev/null; wait "$child" 2>/dev/null; end_group "$name"; exit 0' TERM INT
        pause=1
        while :; do
            began=$SECONDS
            # It gets its own group, because a killed program leaves its children behind, and they would hold its socket.
            setsid "$@" &
            child=$!
            echo "$child" >"$GROUPS_DIR/$name"
            wait "$child"
            end_group "$name"
            [ $((SECONDS - began)) -lt 60 ] || pause=1
            echo "$(date '+%F %T') it ended; started again in $pause s"
            sleep "$pause" &
            child=$!
            wait "$child"
            pause=$((pause < 15 ? pause * 2 : 30))
        done
    ) >>"$log" 2>&1 &
    SUPERVISOR=$!
}

serve() { # serve NAME PORT: nginx, php-fpm, the renderer, queue workers, and the scheduler, with the environment of the caller
    local name=$1 port=$2 worker i
    export SERVE=$name LISTEN=127.0.0.1:$2 APP_URL=http://127.0.0.1:$2
    local left
    for left in "$GROUPS_DIR"/*-"$name"*; do
        [ ! -f "$left" ] || end_group "$(basename "$left")"
    done
    rm -rf "$ROOT/storage/run/$name"
    mkdir -p "$ROOT/storage/run/$name"
    chown --reference="$ROOT/storage/logs" "$ROOT/storage/run/$name"
    for worker in php web renderer schedule; do
        supervise "$worker-$name" bin/service "$worker"
        SERVED+=("$SUPERVISOR")
    done
    # Workers share the work. One stops on its own now and then, and another takes its place.
    for ((worker = 1; worker <= ${WORKERS:-2}; worker++)); do
        WORKER=$worker supervise "worker-$name-$worker" bin/service worker
        SERVED+=("$SUPERVISOR")
    done
    for ((i = 0; i < 600; i++)); do
        php -r 'exit(@file_get_contents($argv[1]) === false ? 1 : 0);' "http://127.0.0.1:$port/up" && return 0
        sleep 0.1
    done
    fail "The application does not report that it is running well. See http://127.0.0.1:$port/up and storage/logs."
}

stop_serving() {
    local pid i
    for pid in "${SERVED[@]}"; do kill "$pid" 2>/dev/null || true; done
    # Polled rather than waited for: inside a trap that interrupted a wait, bash may wait forever for a process that has ended.
    for pid in "${SERVED[@]}"; do
        for ((i = 0; i < 100; i++)); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
        kill -9 "$pid" 2>/dev/null || true
    done
    for pid in "$GROUPS_DIR"/*-"${SERVE:-web}"*; do
        [ ! -f "$pid" ] || end_group "$(basename "$pid")"
    done
    SERVED=()
}

fill_demonstration() { # two workers do what it queues
    local status=0 i
    for i in 1 2; do
        php "${JIT[@]}" artisan queue:work --queue=default,sites --sleep=0.2 --memory=1024 --quiet &
        SERVED+=($!)
    done
    php "${JIT[@]}" artisan db:seed --force --quiet || status=$?
    # Each finishes the job it is at.
    kill "${SERVED[@]}" 2>/dev/null || true
    wait "${SERVED[@]}" || true
    SERVED=()
    return "$status"
}
