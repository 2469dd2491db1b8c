# What bin/start and bin/test stand on: packages, a private PostgreSQL cluster, the build. Sourced, not run.
# Expects ROOT (the project) and STATE (a folder of this run's own below $ROOT/.taller).

say() { printf '%s\n' "$*"; }
fail() { printf '\n%s\n' "$1" >&2; [ $# -gt 1 ] && printf '%s\n' "${@:2}" >&2; exit 1; }

as_admin() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null 2>&1; then sudo "$@"
  else return 1; fi
}

# Installs Debian packages, or says who can.
need_debian() { # what packages...
  local what=$1; shift
  command -v apt-get >/dev/null 2>&1 || fail "$what is missing and this machine has no apt-get." "Install it by hand, then run this again."
  if [ "$(id -u)" != 0 ] && ! command -v sudo >/dev/null 2>&1; then
    fail "$what is missing, and installing it needs root or sudo." "Ask an administrator for: apt-get install $*" "or set DATABASE_URL to a PostgreSQL of your own."
  fi
  say "Installing $what from Debian …"
  local log="$STATE/apt.log"
  { as_admin env DEBIAN_FRONTEND=noninteractive apt-get update && as_admin env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@"; } >"$log" 2>&1 \
    || { tail -n 5 "$log" >&2; fail "$what could not be installed." "The whole log is in $log."; }
}

check_ground() {
  command -v node >/dev/null 2>&1 || fail "Node.js is missing. Taller wants Node 20.19 or newer."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=19)?0:1)' \
    || fail "Node.js $(node -v) is too old. Taller wants 20.19 or newer."
  mkdir -p "$STATE" || fail "The folder $STATE cannot be made." "Is the disk full, or the project read-only?"
  local free; free=$(df -Pk "$ROOT" | awk 'NR==2 {print $4}')
  [ "${free:-0}" -ge 500000 ] || fail "Less than 500 MB are free on the disk of $ROOT." "Make room, then run this again. Nothing was changed."
}

# One run at a time on this folder. The lock is let go when the last of its processes ends, however it ends; a copied folder
# has its own.
hold_ground() { # what is running otherwise
  exec 9>"$STATE/lock"
  flock -n 9 || fail "$@"
}

install_packages() {
  local want; want=$(sha256sum <"$ROOT/package-lock.json")
  [ -d "$ROOT/node_modules/next" ] && [ "$(cat "$ROOT/node_modules/.taller-lock" 2>/dev/null)" = "$want" ] && return
  say "Installing packages (npm ci) …"
  (cd "$ROOT" && npm ci --no-audit --no-fund --loglevel=error) >"$STATE/npm.log" 2>&1 \
    || { tail -n 15 "$STATE/npm.log" >&2; fail "npm ci failed." "Is the registry reachable? The whole log is in $STATE/npm.log."; }
  printf '%s\n' "$want" >"$ROOT/node_modules/.taller-lock"
}

free_port() { # first choice, then whatever is free
  node -e '
    const net = require("node:net");
    const attempt = (port) => { const s = net.createServer();
      s.once("error", () => port ? attempt(0) : process.exit(1));
      s.listen(port, "127.0.0.1", () => { const p = s.address().port; s.close(() => console.log(p)); }); };
    attempt(Number(process.argv[1]) || 0);' "${1:-0}"
}

port_is_free() { [ "$(free_port "$1")" = "$1" ]; }

# Finds initdb and postgres; the newest installed, or the one that fits an existing cluster.
find_postgres() {
  local wanted=${1:-} dir
  for dir in $(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -t/ -k5 -rn); do
    [ -x "$dir/initdb" ] || continue
    [ -z "$wanted" ] || [ "$("$dir/postgres" --version | grep -oE '[0-9]+' | head -1)" = "$wanted" ] || continue
    PG_BIN=$dir; return 0
  done
  if [ -z "$wanted" ] && command -v initdb >/dev/null 2>&1 && command -v pg_ctl >/dev/null 2>&1; then
    PG_BIN=$(dirname "$(readlink -f "$(command -v initdb)")"); return 0
  fi
  return 1
}

# PostgreSQL refuses to run as root: then it runs as the user postgres, in a place that user can reach.
as_keeper() { if [ -n "${PG_KEEPER:-}" ]; then (cd / && runuser -u "$PG_KEEPER" -- "$@"); else "$@"; fi; }

place_cluster() {
  PG_KEEPER=
  if [ "$(id -u)" = 0 ]; then
    PG_KEEPER=postgres
    id "$PG_KEEPER" >/dev/null 2>&1 || useradd --system --no-create-home --shell /usr/sbin/nologin "$PG_KEEPER" || fail "No unprivileged user could be made to run PostgreSQL."
  fi
  if [ -s "$STATE/cluster-place" ]; then
    CLUSTER=$(cat "$STATE/cluster-place")
    # A checkout that was copied or moved has its data with it, not where it once lay.
    case "$CLUSTER" in
      "$STATE/cluster") ;;
      /var/lib/taller/*)
        # Data outside the checkout is of the one checkout that is written in it: a moved one takes it along, a copy does not.
        local owner; owner=$(as_keeper cat "$CLUSTER/checkout" 2>/dev/null || true)
        if [ -z "$owner" ] || [ ! -d "$owner" ] || [ "$owner" -ef "$STATE" ]; then own_cluster; return; fi
        say "This checkout is a copy of ${owner%/.taller/*}, whose data stays there. It begins with its own."
        say "To bring the data over: bin/backup FILE there, then bin/restore FILE here." ;;
    esac
  fi
  CLUSTER=$STATE/cluster
  if [ -n "$PG_KEEPER" ]; then
    # A folder that was copied may have come to another owner.
    mkdir -p "$CLUSTER" && chown -R "$PG_KEEPER" "$CLUSTER" && chmod 700 "$CLUSTER"
    [ ! -d "$CLUSTER/data" ] || chmod 700 "$CLUSTER/data"
    if ! as_keeper test -w "$CLUSTER"; then
      [ ! -e "$CLUSTER/data" ] || fail "The database lies in $CLUSTER, where the user $PG_KEEPER may not come." "Let that user through the folders above it (chmod o+x), then run this again."
      rmdir "$CLUSTER"
      CLUSTER=/var/lib/taller/$(printf '%s' "$STATE" | sha256sum | cut -c1-12)
      mkdir -p "$CLUSTER" && chown "$PG_KEEPER" "$CLUSTER" && chmod 700 "$CLUSTER" || fail "No place could be made for the database at $CLUSTER."
      own_cluster
      say "The checkout is closed to the user $PG_KEEPER; the database lives in $CLUSTER."
    fi
  else
    mkdir -p "$CLUSTER"
  fi
  printf '%s\n' "$CLUSTER" >"$STATE/cluster-place"
}

# Writes into data that lies outside the checkout whose it is.
own_cluster() { printf '%s\n' "$STATE" | as_keeper sh -c "cat > '$CLUSTER/checkout'"; }

# Whether the database is running on this very folder: a process number alone is not believed, it may be another's by now,
# or have come along with a copy of the folder.
cluster_is_up() {
  local data=$CLUSTER/data pid
  pid=$(as_keeper sed -n 1p "$data/postmaster.pid" 2>/dev/null) || return 1
  case "$pid" in '' | *[!0-9]*) return 1 ;; esac
  if [ -d /proc/self ]; then as_keeper sh -c "[ '/proc/$pid/cwd' -ef '$data' ]" 2>/dev/null
  else [ "$(as_keeper sed -n 2p "$data/postmaster.pid")" = "$data" ] && as_keeper "$PG_BIN/pg_ctl" -D "$data" status >/dev/null 2>&1; fi
}

# A process number that is not this database's keeps PostgreSQL from starting: it is taken away.
drop_stale_pid() { cluster_is_up || as_keeper rm -f "$CLUSTER/data/postmaster.pid"; }

# Starts the private cluster and sets DATABASE_URL; makes it when there is none.
start_cluster() {
  find_postgres || { need_debian PostgreSQL postgresql; find_postgres || fail "PostgreSQL was installed but initdb is not found."; }
  place_cluster
  local data=$CLUSTER/data
  if as_keeper test -s "$data/PG_VERSION"; then
    local made; made=$(as_keeper cat "$data/PG_VERSION")
    find_postgres "$made" || fail "The database in $data was made by PostgreSQL $made, which is no longer installed." \
      "Install it again (apt-get install postgresql-$made)," "or start over from the demo with bin/start --fresh; the old data is put aside, not deleted."
  else
    [ "$(as_keeper sh -c "ls -A '$data' 2>/dev/null" | head -1)" = "" ] || fail "The database in $data is damaged: it has no PG_VERSION." \
      "Restore the folder from a backup, or start over from the demo with bin/start --fresh; the old data is put aside."
    say "Making a private database …"
    (umask 077; node -e 'console.log(require("node:crypto").randomBytes(24).toString("hex"))' >"$STATE/password")
    as_keeper sh -c "umask 077; cat > '$CLUSTER/pw'" <"$STATE/password"
    as_keeper "$PG_BIN/initdb" -D "$data" -U taller -E UTF8 --locale=C.UTF-8 --auth=scram-sha-256 --pwfile="$CLUSTER/pw" >"$STATE/initdb.log" 2>&1 \
      || { tail -n 8 "$STATE/initdb.log" >&2; fail "The private database could not be made." "The whole log is in $STATE/initdb.log."; }
    as_keeper rm -f "$CLUSTER/pw"
  fi
  [ -s "$STATE/password" ] || fail "The password of the private database ($STATE/password) is gone." "Start over from the demo with bin/start --fresh; the old data is put aside."

  if cluster_is_up; then
    DB_PORT=$(as_keeper sed -n 4p "$data/postmaster.pid")
  else
    DB_PORT=$(cat "$STATE/db-port" 2>/dev/null || true)
    if [ -z "$DB_PORT" ] || ! port_is_free "$DB_PORT"; then DB_PORT=$(free_port 0); fi
    printf '%s\n' "$DB_PORT" >"$STATE/db-port"
    drop_stale_pid
    as_keeper "$PG_BIN/pg_ctl" -D "$data" -l "$CLUSTER/server.log" -w -t 60 \
      -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories='' -c fsync=${PG_FSYNC:-on}" start >"$STATE/pg_ctl.log" 2>&1 9>&- || {
      as_keeper tail -n 8 "$CLUSTER/server.log" >&2
      fail "The private database in $data does not start; its last words are above." \
        "If the disk is full, make room. If the data is damaged, restore it or start over with bin/start --fresh; the old data is put aside."
    }
  fi
  CLUSTER_STARTED=1
  export DATABASE_URL="postgres://taller:$(cat "$STATE/password")@127.0.0.1:$DB_PORT/postgres"
}

stop_cluster() {
  [ -n "${CLUSTER_STARTED:-}" ] || return 0
  CLUSTER_STARTED=
  as_keeper "$PG_BIN/pg_ctl" -D "$CLUSTER/data" -m fast -w stop >/dev/null 2>&1 || true
}

# Names the database of DATABASE_URL to PostgreSQL's own tools, its password not on any command line.
name_database() {
  eval "$(node -e '
    const u = new URL(process.env.DATABASE_URL), said = decodeURIComponent, word = (s) => `\x27${s.replaceAll("\x27", "\x27\\\x27\x27")}\x27`;
    const own = { PGHOST: u.hostname, PGPORT: u.port || "5432", PGUSER: said(u.username), PGPASSWORD: said(u.password), PGDATABASE: said(u.pathname.slice(1)) };
    for (const [name, value] of Object.entries(own)) console.log(`export ${name}=${word(value)}`);')"
}

# Comes to the data whether Taller is running or not, and leaves it as it was found.
reach_database() {
  find_postgres || fail "PostgreSQL is missing." "Start Taller once with bin/start, which installs it."
  if [ -z "${DATABASE_URL:-}" ]; then
    [ -s "$STATE/cluster-place" ] || fail "Taller keeps nothing here yet." "Start it once with bin/start."
    place_cluster
    local was_up=; if cluster_is_up; then was_up=1; fi
    start_cluster
    [ -z "$was_up" ] || CLUSTER_STARTED=
  fi
  name_database
}
leave_database() { stop_cluster; }

# Whether a file reads as a backup of Taller, to its end.
backup_reads() {
  local list; list=$("$PG_BIN/pg_restore" --list "$1" 2>/dev/null) || return 1
  case "$list" in *"TABLE DATA public migration"*) "$PG_BIN/pg_restore" --file=/dev/null "$1" 2>/dev/null ;; *) return 1 ;; esac
}

# Puts the present data aside; the next start_cluster makes it anew.
put_cluster_aside() {
  ASIDE=
  find_postgres || return 0
  [ -s "$STATE/cluster-place" ] || return 0
  place_cluster
  cluster_is_up && as_keeper "$PG_BIN/pg_ctl" -D "$CLUSTER/data" -m fast -w stop >/dev/null 2>&1
  if as_keeper test -e "$CLUSTER/data"; then
    if [ "${1:-}" = discard ]; then as_keeper rm -rf "$CLUSTER/data"; else
      ASIDE="$CLUSTER/data-$(date +%Y%m%d-%H%M%S)"
      as_keeper mv "$CLUSTER/data" "$ASIDE"
      # Each data has the password it was made with.
      [ ! -s "$STATE/password" ] || cp -p "$STATE/password" "$STATE/password-aside"
      say "The old data is in $ASIDE."
    fi
  fi
}

# Brings back what was put aside last.
bring_cluster_back() {
  [ -n "${ASIDE:-}" ] || return 0
  as_keeper rm -rf "$CLUSTER/data"
  as_keeper mv "$ASIDE" "$CLUSTER/data"
  [ ! -s "$STATE/password-aside" ] || mv "$STATE/password-aside" "$STATE/password"
  say "It is back where it was."
}

# Builds what works in threads beside the one that answers; src/server/heavy-work.ts finds it as heavy-worker.mjs.
BUILD_THREADS=(node_modules/.bin/esbuild src/server/heavy.worker.ts --bundle --platform=node --format=esm --target=node20
  --packages=external --log-level=warning)

# Builds when anything the build depends on has changed.
build() {
  local dist=$1 want
  want=$(cd "$ROOT" && { find src docs/methods.md -type f; ls next.config.ts postcss.config.mjs tsconfig.json package.json package-lock.json; } | LC_ALL=C sort | xargs sha256sum | sha256sum)
  [ -f "$ROOT/$dist/BUILD_ID" ] && [ "$(cat "$ROOT/$dist/taller-built" 2>/dev/null)" = "$want" ] && return
  say "Building …"
  # Next builds what answers, esbuild what works in threads beside it.
  (cd "$ROOT" && NEXT_TELEMETRY_DISABLED=1 TALLER_DIST=$dist npx --no-install next build \
    && "${BUILD_THREADS[@]}" --outfile="$dist/heavy-worker.mjs") >"$STATE/build.log" 2>&1 \
    || { tail -n 40 "$STATE/build.log" >&2; fail "The build failed." "The whole log is in $STATE/build.log."; }
  printf '%s\n' "$want" >"$ROOT/$dist/taller-built"
}

SERVER_PIDS=()

# Serves on $1 in the background and waits until it answers; sets SERVER_PID, the last of SERVER_PIDS. Logs to $3.log.
serve() {
  local port=$1 dist=$2 log=$STATE/${3:-server}.log
  (cd "$ROOT" && exec env NEXT_TELEMETRY_DISABLED=1 TALLER_DIST="$dist" node bin/serve.mjs "$port") >"$log" 2>&1 &
  SERVER_PID=$!
  SERVER_PIDS+=("$SERVER_PID")
  local i
  for i in $(seq 1 300); do
    kill -0 "$SERVER_PID" 2>/dev/null || { tail -n 15 "$log" >&2; fail "The server stopped at once; its last words are above."; }
    node -e 'fetch(process.argv[1]).then((r)=>process.exit(r.ok?0:1),()=>process.exit(1))' "http://127.0.0.1:$port/api/health" 2>/dev/null && return 0
    sleep 0.2
  done
  tail -n 15 "$log" >&2
  fail "The server did not answer within a minute; its last words are above."
}

stop_server() {
  [ ${#SERVER_PIDS[@]} -gt 0 ] || return 0
  kill "${SERVER_PIDS[@]}" 2>/dev/null || true
  wait "${SERVER_PIDS[@]}" 2>/dev/null || true
  SERVER_PIDS=()
  SERVER_PID=
}
