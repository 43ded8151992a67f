# Install what is missing, once: sourced by ./start, ./test and ./bench. Says what it does.
# Every step leaves a stamp made from the files it depends on, so that later runs need no network.

say() { printf '· %s\n' "$*"; }
fail() { printf 'orthopsis: %s\n' "$*" >&2; exit 2; }

stamp_of() { cat "$@" | sha256sum | cut -c1-24; }
is_stamped() { [ "$(cat ".build/$1.stamp" 2>/dev/null)" = "$2" ]; }
stamp() { mkdir -p .build && printf '%s\n' "$2" > ".build/$1.stamp"; }

# need_packages COMMAND=PACKAGE ...: Debian packages whose command, or file at a whole path, is not there
need_packages() {
  local missing=() pair
  for pair in "$@"; do
    command -v "${pair%%=*}" >/dev/null 2>&1 || [ -x "/usr/sbin/${pair%%=*}" ] || [ -f "${pair%%=*}" ] || [[ " ${missing[*]-} " == *" ${pair#*=} "* ]] ||
      missing+=("${pair#*=}")
  done
  [ ${#missing[@]} -eq 0 ] && return
  local how="apt-get install -y --no-install-recommends ${missing[*]}"
  local as=()
  if [ "$(id -u)" != 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then as=(sudo -n); else
      fail "these Debian packages are missing: ${missing[*]}. Install them with: sudo $how"
    fi
  fi
  say "installing Debian packages: ${missing[*]}"
  mkdir -p .build
  { "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get update &&
    "${as[@]}" env DEBIAN_FRONTEND=noninteractive $how; } > .build/apt.log 2>&1 ||
    fail "the packages could not be installed (see .build/apt.log). Try: sudo $how"
}

find_python() {
  local candidate
  for candidate in python3.11 python3.12 python3.13 python3; do
    if command -v "$candidate" >/dev/null 2>&1 &&
      "$candidate" -c 'import sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null; then
      PYTHON=$candidate
      return
    fi
  done
  fail "Python 3.11 or newer is missing. Install it with: sudo apt-get install -y python3 python3-venv"
}

# python_packages base|test
python_packages() {
  find_python
  "$PYTHON" -c 'import ensurepip, venv' 2>/dev/null || need_packages "no-such-command=python3-venv"
  local files=(requirements/base.txt)
  [ "$1" = test ] && files+=(requirements/test.txt)
  local mark
  mark=$(stamp_of "${files[@]}" pyproject.toml requirements/uv.txt)
  if [ -x .venv/bin/orthopsis ] && { is_stamped python-test "$(stamp_of requirements/base.txt requirements/test.txt pyproject.toml requirements/uv.txt)" || is_stamped "python-$1" "$mark"; }; then
    return
  fi
  say "installing Python packages ($1)"
  [ -x .venv/bin/python ] || "$PYTHON" -m venv .venv || fail "a Python environment could not be made in .venv. Is the disk full?"
  mkdir -p .build
  { .venv/bin/python -m pip install --quiet --disable-pip-version-check --require-hashes -r requirements/uv.txt &&
    .venv/bin/uv pip sync --quiet --compile-bytecode "${files[@]}" requirements/uv.txt &&
    .venv/bin/uv pip install --quiet --no-deps --no-build-isolation -e . &&
    .venv/bin/python -m compileall -q src; } > .build/python.log 2>&1 ||
    fail "the Python packages could not be installed (see .build/python.log). Is the network there?"
  rm -f .build/python-*.stamp
  stamp "python-$1" "$mark"
}

node_packages() {
  command -v node >/dev/null 2>&1 || fail "Node 20 is missing. Install it (Debian 12: nodejs and npm from your source of Node 20)."
  local mark
  mark=$(stamp_of frontend/package.json frontend/package-lock.json)
  if [ -d frontend/node_modules ] && is_stamped node "$mark"; then return; fi
  say "installing front end packages"
  mkdir -p .build
  (cd frontend && npm ci --no-audit --no-fund) > .build/npm.log 2>&1 ||
    fail "the front end's packages could not be installed (see .build/npm.log). Is the network there?"
  stamp node "$mark"
}

front_end() {
  local mark
  mark=$(find frontend -path frontend/node_modules -prune -o -path frontend/dist -prune -o -type f -print | LC_ALL=C sort | xargs sha256sum | sha256sum | cut -c1-24)
  if [ -f frontend/dist/index.html ] && is_stamped front-end "$mark"; then return; fi
  node_packages
  say "building the front end"
  mkdir -p .build
  (cd frontend && npm run --silent build) > .build/front-end.log 2>&1 || fail "the front end could not be built (see .build/front-end.log)."
  stamp front-end "$mark"
}
