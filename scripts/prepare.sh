# Shared by ./run, ./test and .ci/run: names what is missing, installs what can be installed, builds what is stale.
say() { printf '▸ %s\n' "$*"; }
die() { printf '✗ %s\n' "$*" >&2; exit 1; }

export DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 DOTNET_SKIP_FIRST_TIME_EXPERIENCE=1
export DOTNET_SYSTEM_GLOBALIZATION_INVARIANT="${DOTNET_SYSTEM_GLOBALIZATION_INVARIANT:-1}"

need_prerequisites() {
  command -v git >/dev/null || die "git is missing. Install it, then run this again."
  command -v dotnet >/dev/null || die "The .NET SDK 10 is missing. Install it, then run this again."
  case "$(dotnet --version 2>/dev/null)" in
    10.*) ;;
    *) die "The .NET SDK 10 is needed; 'dotnet --version' says '$(dotnet --version 2>&1 | head -1)'." ;;
  esac
  command -v node >/dev/null || die "Node 20 or newer is missing. Install it, then run this again."
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || die "Node 20 or newer is needed; this is $(node --version)."
  command -v npm >/dev/null || die "npm is missing; it comes with Node."
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo "$@"; else die "Not root and no sudo: install $* by hand."; fi
}

need_browser() {
  if command -v chromium >/dev/null && command -v chromedriver >/dev/null; then return; fi
  command -v apt-get >/dev/null || die "The browser tests need chromium and chromedriver on the PATH; install them, then run this again."
  say "Installing chromium and chromium-driver from Debian's packages for the browser tests"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >/dev/null || say "apt-get update failed; trying with the lists at hand"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium chromium-driver >/dev/null || die "Could not install chromium and chromium-driver."
}

# A reader by other hands for the calendars that are written here.
need_calendar_reader() {
  if /usr/bin/python3 -c "import icalendar" 2>/dev/null; then return; fi
  command -v apt-get >/dev/null || die "The server's tests read calendars back with python3-icalendar; install it, then run this again."
  say "Installing python3-icalendar from Debian's packages for the server's tests"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >/dev/null || say "apt-get update failed; trying with the lists at hand"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends python3 python3-icalendar >/dev/null || die "Could not install python3-icalendar."
}

# A reader by other hands for the certificates that are made here.
need_openssl() {
  if command -v openssl >/dev/null; then return; fi
  command -v apt-get >/dev/null || die "The server's tests hold the depot's certificates to openssl; install it, then run this again."
  say "Installing openssl from Debian's packages for the server's tests"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >/dev/null || say "apt-get update failed; trying with the lists at hand"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends openssl >/dev/null || die "Could not install openssl."
}

install_web() {
  local stamp=web/node_modules/.zero-drift-lock
  if [ -f "$stamp" ] && cmp -s "$stamp" web/package-lock.json; then return; fi
  say "Installing the front end's packages"
  (cd web && npm ci --no-audit --no-fund --loglevel=error) || die "npm ci failed; see above."
  cp web/package-lock.json "$stamp"
}

# The core for the browser; it takes a minute and more to publish, so only when what it is made of has changed.
build_tablet() {
  if [ -f .build/tablet/made ] && [ -z "$(find src/ZeroDrift.Core src/ZeroDrift.Contract src/ZeroDrift.Tablet Directory.Build.props -newer .build/tablet/made -not -path '*/obj/*' -not -path '*/bin/*' -type f -print -quit)" ]; then return; fi
  say "Building the core for the browser"
  mkdir -p .build
  rm -rf .build/tablet
  dotnet publish src/ZeroDrift.Tablet -c Release -o .build/tablet --nologo -v quiet -p:RunAnalyzers=false >.build/tablet.log 2>&1 || { cat .build/tablet.log >&2; die "The core for the browser did not build."; }
  touch .build/tablet/made
}

build_web() {
  install_web
  if [ -f web/dist/index.html ] && [ -z "$(find web/src web/public web/index.html web/package-lock.json web/vite.config.ts web/build .build/tablet/made -newer web/dist/index.html -print -quit)" ]; then return; fi
  say "Building the front end"
  (cd web && npm run --silent build >.build.log 2>&1) || { cat web/.build.log >&2; die "The front end did not build."; }
}

# Builds what is named, the server or the solution with its tests; what is served lies in .build/server.
build_server() {
  say "Building the server"
  mkdir -p .build
  { dotnet build "$1" -c Release --nologo -v quiet -p:RunAnalyzers=false && dotnet publish src/ZeroDrift.Server -c Release --no-build -o .build/server --nologo -v quiet; } >.build/dotnet.log 2>&1 ||
    { cat .build/dotnet.log >&2; die "The server did not build."; }
}
