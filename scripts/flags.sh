# How the virtual machine is started, for ./amber-shim and for the installed program alike. Sourced,
# not run; java_version is set before.
# shellcheck shell=bash

native=--enable-native-access=ALL-UNNAMED,javafx.graphics

# Without the flight recorder the database library leaves its events out, which take a tenth of a
# second. The solver's rows are some hundred cells long: with the widest vectors most of a row is
# spent on its ragged ends.
flags=(-XX:+IgnoreUnrecognizedVMOptions -XX:-PrintWarnings -XX:UseAVX=2
  -XX:-FlightRecorder -Dsun.reflect.inflationThreshold=100000
  "$native"
  -Dslf4j.provider=ch.qos.logback.classic.spi.LogbackServiceProvider
  -Dslf4j.internal.verbosity=ERROR -Xshare:auto)
[ "$java_version" -lt 23 ] || flags+=(--sun-misc-unsafe-memory-access=allow)

# The compiler starts late where there is a window: early on it only takes a core away. The second
# compiler stays out: an answer is there in a tenth of a second, and most of that would go by
# while both compilers hold the cores; what the first one leaves is fast enough for all but very
# large logs. One small store of compiled code and large pages save some hundredths of a second.
late=(-XX:TieredStopAtLevel=1 -XX:-SegmentedCodeCache -XX:ReservedCodeCacheSize=48m
  -XX:Tier3InvocationThreshold=600 -XX:Tier3MinInvocationThreshold=300
  -XX:Tier3CompileThreshold=6000)

# A container may hide or forbid large pages, which Java would complain about.
if grep -qE '\[(always|madvise)\]' /sys/kernel/mm/transparent_hugepage/enabled 2>/dev/null; then
  late+=(-XX:+UseTransparentHugePages)
fi

# Commands take what memory they need at once; a window starts small.
large() {
  flags+=(-XX:+UseParallelGC -Xms1g)
  # A short answer is there before the second compiler is done with its code: until then it only
  # takes a core away, and the first one measures for it. Many cells, many times, a very small
  # error and large logs are worth it.
  local word
  case " $* " in
    *" --cells"* | *" --power"* | *" --error"[\ =]0.000*) return 0 ;;
    *" weigh "* | *" diagnose "* | *" spread "* | *" bench "*) return 0 ;;
  esac
  for word in "$@"; do
    [ ! -f "$word" ] || [ "$(wc -c <"$word")" -lt 32000000 ] || return 0
  done
  flags+=(-XX:TieredStopAtLevel=1)
}
small=(-XX:+UseSerialGC -Xms256m -Xmn128m)

# Whether a command line opens a window.
opens_window() {
  local word
  for word in "$@"; do
    case $word in
      compare | analyse | headroom | solve | diagnose | drift | everyday | series | weigh | plan | record | rest | flatness | dose | spread | mount | restore | -h | --help | -V | --version) return 1 ;;
    esac
  done
}
