# Sets a machine up for ./start and ./test. Sourced, not run. Says one clear line and stops when it cannot.

say() { printf '%s\n' "$*"; }
stop() { printf 'vividowl: %s\n' "$*" >&2; exit 1; }

# Some machines tell Python not to keep what it compiles; a start would then compile everything each time.
unset PYTHONDONTWRITEBYTECODE

VENV="$ROOT/.venv"
STAMPS="$ROOT/var/stamps"

need_space() {
  local free_mb
  free_mb=$(df -Pm "$ROOT" | awk 'NR==2 {print $4}')
  [ "$free_mb" -ge "$1" ] || stop "only $free_mb MB are free below $ROOT, $1 MB are needed. Free some space and try again."
}

# debian_packages NAME...: installs what is missing.
debian_packages() {
  local missing=() name
  for name in "$@"; do
    dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'ok installed' || missing+=("$name")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  command -v apt-get >/dev/null || stop "these packages are missing and there is no apt-get: ${missing[*]}. Install them and try again."
  local as=()
  if [ "$(id -u)" -ne 0 ]; then
    { command -v sudo >/dev/null && sudo -v; } ||
      stop "no right to install packages. Ask an administrator to run: apt-get install ${missing[*]}"
    as=(sudo)
  fi
  say "Installing ${missing[*]} …"
  need_space 1500
  # Debian would start a server of its own on the usual port; this project runs a private one.
  if [[ " ${missing[*]} " == *" postgresql "* ]]; then
    "${as[@]}" mkdir -p /etc/postgresql-common
    [ -e /etc/postgresql-common/createcluster.conf ] ||
      echo 'create_main_cluster = false' | "${as[@]}" tee /etc/postgresql-common/createcluster.conf >/dev/null
  fi
  local options=(-y --no-install-recommends -o Dpkg::Options::=--force-confold)
  mkdir -p "$ROOT/var"
  { "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install "${options[@]}" "${missing[@]}" ||
    { "${as[@]}" apt-get update &&
      "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install "${options[@]}" "${missing[@]}"; }; } \
    >"$ROOT/var/apt.log" 2>&1 ||
    stop "apt-get could not install ${missing[*]}: $(grep -m1 '^E:' "$ROOT/var/apt.log" || tail -1 "$ROOT/var/apt.log") (see var/apt.log)"
}

# once NAME FILES... -- COMMAND...: runs the command when the files changed since it last succeeded.
once() {
  local name=$1 sum files=()
  shift
  while [ "$1" != -- ]; do files+=("$1"); shift; done
  shift
  sum=$(find "${files[@]}" -type f ! -name '*.pyc' ! -path '*/web/site/*' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  [ "$(cat "$STAMPS/$name" 2>/dev/null)" = "$sum" ] && return 0
  "$@" || return 1
  mkdir -p "$STAMPS" && echo "$sum" >"$STAMPS/$name"
}

make_venv() {
  local python
  for python in python3.11 python3 /usr/bin/python3; do
    "$python" -c 'import sys, venv, ensurepip; sys.exit(sys.version_info < (3, 11))' 2>/dev/null && break
    python=
  done
  [ -n "$python" ] || stop "Python 3.11 or newer with venv is missing. Run: apt-get install python3-venv"
  say "Making the Python environment …"
  need_space 2500
  rm -rf "$STAMPS"
  "$python" -m venv --clear "$VENV" && "$VENV/bin/pip" install -q --disable-pip-version-check uv==0.13.9 2>"$ROOT/var/pip.log" ||
    stop "the Python environment could not be made: $(tail -1 "$ROOT/var/pip.log")"
}

python_packages() {
  say "Installing Python packages …"
  "$VENV/bin/uv" pip install -q --python "$VENV/bin/python" --require-hashes -r "$1" 2>"$ROOT/var/pip.log" &&
    "$VENV/bin/uv" pip install -q --python "$VENV/bin/python" --no-deps -e "$ROOT" 2>>"$ROOT/var/pip.log" ||
    stop "Python packages could not be installed: $(grep -m1 -i error "$ROOT/var/pip.log" || tail -1 "$ROOT/var/pip.log") (see var/pip.log)"
}

node_packages() {
  say "Installing Node packages …"
  (cd "$ROOT/ui" && npm ci >"$ROOT/var/npm.log" 2>&1) ||
    stop "Node packages could not be installed: $(grep -m1 'npm error' "$ROOT/var/npm.log") (see var/npm.log)"
}

build_ui() {
  say "Building the interface …"
  (cd "$ROOT/ui" && npm run -s build >"$ROOT/var/build.log" 2>&1) ||
    stop "the interface could not be built: $(tail -1 "$ROOT/var/build.log") (see var/build.log)"
}

# prepare LOCK: Python and Node packages and the built interface.
prepare() {
  mkdir -p "$ROOT/var"
  [ -x "$VENV/bin/uv" ] && "$VENV/bin/python" -c '' 2>/dev/null || make_venv
  export PATH="$VENV/bin:$PATH" # node, npm and npx come from the environment too
  # Running after testing needs no second install: the longer lock holds the shorter one.
  if [ "$1" = requirements.lock ] && [ -e "$STAMPS/requirements-dev.lock" ] &&
    [ "$(cat "$STAMPS/requirements-dev.lock")" = "$(find "$ROOT/requirements-dev.lock" "$ROOT/pyproject.toml" -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)" ]; then
    :
  else
    once "$1" "$ROOT/$1" "$ROOT/pyproject.toml" -- python_packages "$ROOT/$1"
  fi
  once node "$ROOT/ui/package-lock.json" -- node_packages
  once build "$ROOT/ui/src" "$ROOT/src/vividowl/words" "$ROOT/docs/handbook" "$ROOT/ui/index.html" "$ROOT/ui/vite.config.ts" "$ROOT/ui/build" "$ROOT/ui/public" "$ROOT/ui/package-lock.json" -- build_ui
}
