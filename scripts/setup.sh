# Shared by ./amber-shim and ./check: finds or installs what they need. Sourced, not run.
# shellcheck shell=bash

say() { printf '%s\n' "amber-shim: $*" >&2; }

# Installs Debian packages where that is allowed, else prints the line to type.
install_packages() {
  local line="apt-get update && apt-get install -y --no-install-recommends $*"
  if ! command -v apt-get >/dev/null; then
    say "these are missing: $*. Install them with this system's package tool, then start again."
    exit 3
  fi
  local sudo=()
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
      sudo=(sudo)
    else
      say "these are missing: $*. Type this line, then start again:"
      say "  sudo sh -c '$line'"
      exit 3
    fi
  fi
  say "installing $*"
  export DEBIAN_FRONTEND=noninteractive
  if ! "${sudo[@]}" sh -c "$line" >"$home/target/setup.log" 2>&1; then
    say "the installation failed; the last lines of target/setup.log:"
    tail -n 5 "$home/target/setup.log" >&2
    exit 3
  fi
}

# As its release file says, which is quicker than to ask it; where there is none, it is asked.
java_release() {
  local release
  release=$(sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' \
    "$(dirname "$(dirname "$(readlink -f "$1")")")/release" 2>/dev/null) || true
  [ -n "$release" ] || release=$("$1" -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p')
  printf '%s\n' "${release%%$'\n'*}"
}

# Sets java and javac to a JDK of release 17 or newer.
find_java() {
  local place
  for place in "${JAVA_HOME:-}" /usr; do
    if [ -n "$place" ] && [ -x "$place/bin/javac" ] && [ -x "$place/bin/java" ]; then
      local release
      release=$(java_release "$place/bin/java")
      if [ "${release:-0}" -ge 17 ]; then
        java="$place/bin/java"
        java_version=$release
        if [ "$place" = /usr ]; then
          JAVA_HOME=$(dirname "$(dirname "$(readlink -f "$java")")")
        fi
        export JAVA_HOME
        return 0
      fi
    fi
  done
  return 1
}

# Asked for once, and whole: a search that ends at the first match would break off the list, which
# then counts as failed.
has_library() {
  : "${libraries:=$(ldconfig -p 2>/dev/null || /sbin/ldconfig -p 2>/dev/null)}"
  [[ $libraries == *"$1"* ]]
}

# need java | maven | window | screen …: gathers what is missing and installs it in one go.
need() {
  local missing=()
  local thing
  for thing in "$@"; do
    case $thing in
      java) find_java || missing+=(default-jdk-headless) ;;
      maven) command -v mvn >/dev/null || missing+=(maven) ;;
      window)
        has_library libgtk-3.so.0 || missing+=(libgtk-3-0)
        has_library libXtst.so.6 || missing+=(libxtst6)
        has_library libXxf86vm.so.1 || missing+=(libxxf86vm1)
        has_library libGL.so.1 || missing+=(libgl1)
        ;;
      objcopy) command -v objcopy >/dev/null || missing+=(binutils) ;;
      shlibdeps) command -v dpkg-shlibdeps >/dev/null || missing+=(dpkg-dev) ;;
      screen) command -v Xvfb >/dev/null || missing+=(xvfb) ;;
    esac
  done
  if [ ${#missing[@]} -gt 0 ]; then
    mkdir -p "$home/target"
    install_packages "${missing[@]}"
    find_java || { say "no JDK of release 17 or newer was found after the installation."; exit 3; }
  fi
}

# Starts a virtual screen and sets DISPLAY; it ends with this shell.
start_screen() {
  local pipe
  pipe=$(mktemp -u)
  mkfifo "$pipe"
  Xvfb -displayfd 3 -screen 0 1920x1080x24 -nolisten tcp 3>"$pipe" >/dev/null 2>&1 &
  screen_pid=$!
  local number
  read -r -t 20 number <"$pipe" || { say "the virtual screen did not start."; exit 1; }
  rm -f "$pipe"
  export DISPLAY=":$number"
}

# Four virtual screens whose numbers differ in their last figure: for three test processes, and one
# more, since a process of another module that runs beside them takes a number too.
# Keys do not repeat there: on a busy machine one press would count twice.
# Sets screens to what stands before that figure.
start_screens() {
  local tens i
  for tens in $(seq 20 90); do
    if [ ! -e "/tmp/.X${tens}1-lock" ] && [ ! -e "/tmp/.X${tens}2-lock" ] &&
      [ ! -e "/tmp/.X${tens}3-lock" ] && [ ! -e "/tmp/.X${tens}4-lock" ]; then
      screen_pid=
      for i in 1 2 3 4; do
        Xvfb ":${tens}$i" -r -screen 0 1600x1000x24 -nolisten tcp >/dev/null 2>&1 &
        screen_pid="$screen_pid $!"
      done
      for i in $(seq 200); do
        if [ -S "/tmp/.X11-unix/X${tens}1" ] && [ -S "/tmp/.X11-unix/X${tens}2" ] &&
          [ -S "/tmp/.X11-unix/X${tens}3" ] && [ -S "/tmp/.X11-unix/X${tens}4" ]; then
          screens=":$tens"
          export DISPLAY=":${tens}1"
          return
        fi
        sleep 0.1
      done
      break
    fi
  done
  say "the virtual screens did not start."
  exit 1
}

stop_screen() {
  # More than one may run, so the words stand apart.
  # shellcheck disable=SC2086
  [ -z "${screen_pid:-}" ] || kill $screen_pid 2>/dev/null || true
}
