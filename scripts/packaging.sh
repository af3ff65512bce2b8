# The parts of ./package. Sourced, not run; setup.sh was sourced before, SOURCE_DATE_EPOCH is set.
# shellcheck shell=bash

# All that the application reaches; jdk.localedata for names of days and months, jdk.charsets for
# old logs, jdk.accessibility for screen readers.
modules=java.base,java.desktop,java.instrument,java.logging,java.management,java.naming,java.net.http
modules=$modules,java.scripting,java.security.jgss,java.sql,java.sql.rowset,java.transaction.xa,java.xml
modules=$modules,java.xml.crypto,java.compiler,java.prefs,java.rmi,java.datatransfer,jdk.accessibility
modules=$modules,jdk.charsets,jdk.crypto.ec,jdk.localedata,jdk.management,jdk.unsupported,jdk.zipfs
modules=$modules,javafx.controls

# build_parts SOURCE: the application and its bill of materials, dated as the commit is.
build_parts() {
  local when
  when=$(date -u -d "@$SOURCE_DATE_EPOCH" +%FT%TZ)
  local goal=(-B -q -f "$1/pom.xml" -Dmaven.test.skip=true
    "-Dproject.build.outputTimestamp=$when" package cyclonedx:makeAggregateBom -pl app -am)
  if ! mvn -o "${goal[@]}" >"$out/build.log" 2>&1 && ! mvn "${goal[@]}" >"$out/build.log" 2>&1; then
    say "the build failed; the last lines of target/package/build.log:"
    tail -n 12 "$out/build.log" >&2
    exit 1
  fi
  rm "$out/build.log"
}

# make_image TARGET IMAGE: everything that runs, in one folder.
make_image() {
  local target=$1 image=$2
  mkdir -p "$image/bin" "$image/lib" "$image/share"
  cp "$target"/app/lib/*.jar "$target"/app-*.jar "$image/lib/"
  cp "$source/scripts/flags.sh" "$image/lib/"
  install -m 755 "$source/packaging/amber-shim" "$image/bin/amber-shim"
  "$JAVA_HOME/bin/jlink" --module-path "$target/app/javafx" --output "$image/runtime" \
    --no-header-files --no-man-pages --strip-debug --add-modules "$modules"
  cp "$target"/app/javafx/*.so "$image/runtime/lib/"
  share "$image"
  # Java looks at the dates of archives when it takes up its store of classes.
  find "$image" -exec touch -h -d "@$SOURCE_DATE_EPOCH" {} +
}

# share IMAGE: what a desktop and a reader want to know.
share() {
  local share=$1/share size
  mkdir -p "$share/applications" "$share/mime/packages" "$share/man/man1" "$share/doc/amber-shim"
  install -m 644 "$source/packaging/amber-shim.desktop" "$share/applications/"
  install -m 644 "$source/packaging/amber-shim.xml" "$share/mime/packages/"
  gzip -9n <"$source/packaging/amber-shim.1" >"$share/man/man1/amber-shim.1.gz"
  for size in 16 24 32 48 64 128 256 512; do
    mkdir -p "$share/icons/hicolor/${size}x$size/apps" "$share/icons/hicolor/${size}x$size/mimetypes"
    cp "$source/desktop/src/main/resources/dev/ambershim/desktop/icons/light-$size.png" \
      "$share/icons/hicolor/${size}x$size/apps/amber-shim.png"
    cp "$source/desktop/src/main/resources/dev/ambershim/desktop/icons/light-$size.png" \
      "$share/icons/hicolor/${size}x$size/mimetypes/application-x-amber-shim-job.png"
  done
  mkdir -p "$share/icons/hicolor/scalable/apps"
  cp "$source/packaging/icon-light.svg" "$share/icons/hicolor/scalable/apps/amber-shim.svg"
  cp "$source/packaging/icon-dark.svg" "$share/icons/hicolor/scalable/apps/amber-shim-dark.svg"
  cp -r "$source/docs/handbook" "$source/docs/formats.md" "$source/docs/sources.md" \
    "$source/CHANGELOG.md" "$source/target/bom.json" "$share/doc/amber-shim/"
  "$JAVA_HOME/bin/java" -cp "$1/lib/*" "$source/packaging/Licences.java" \
    "$source/target/bom.json" "$1/lib" "$share/doc/amber-shim"
  cp "$source/LICENSE" "$share/doc/amber-shim/copyright"
  chmod -R u=rwX,go=rX "$share"
}

# make_archive IMAGE FILE: names in order, one date, one owner, so that the bytes are the same.
make_archive() {
  tar --sort=name --mtime="@$SOURCE_DATE_EPOCH" --owner=0 --group=0 --numeric-owner \
    -C "$(dirname "$1")" -c "$(basename "$1")" | gzip -9n >"$2"
}

# make_deb IMAGE FILE: the program under /usr/lib, what the desktop reads where it reads it.
make_deb() {
  local image=$1 root=$out/deb
  mkdir -p "$root/usr/lib" "$root/usr/bin" "$root/DEBIAN"
  cp -a "$image" "$root/usr/lib/amber-shim"
  mv "$root/usr/lib/amber-shim/share" "$root/usr/share"
  ln -s ../lib/amber-shim/bin/amber-shim "$root/usr/bin/amber-shim"
  record_classes "$root/usr/lib/amber-shim"
  {
    sed -e "s/@VERSION@/$version/" -e "s/@SIZE@/$(du -sk "$root/usr" | cut -f1)/" \
      -e "s/@DEPENDS@/$(libraries_of "$root")/" "$source/packaging/control"
  } >"$root/DEBIAN/control"
  install -m 755 "$source/packaging/postinst" "$source/packaging/prerm" "$root/DEBIAN/"
  find "$root" -exec touch -h -d "@$SOURCE_DATE_EPOCH" {} +
  dpkg-deb --root-owner-group -Zxz --build "$root" "$2" >/dev/null
}

# libraries_of ROOT: the Debian packages whose libraries the program is linked with.
libraries_of() {
  local stub=$out/shlibs
  mkdir -p "$stub/debian"
  printf 'Source: amber-shim\n\nPackage: amber-shim\nArchitecture: amd64\n' >"$stub/debian/control"
  (
    cd "$stub"
    find "$1/usr/lib" -name '*.so' -type f ! -name 'libavplugin*' ! -name 'libglassgtk2.so' -print0 |
      xargs -0 dpkg-shlibdeps -O --ignore-missing-info --warnings=0 \
        "-l$1/usr/lib/amber-shim/runtime/lib" "-l$1/usr/lib/amber-shim/runtime/lib/server"
  ) 2>/dev/null | sed -n 's/^shlibs:Depends=//p'
  rm -rf "$stub"
}

# record_classes FOLDER: which classes a window needs, from a start on a virtual screen; the
# installation makes its store of classes by this list.
record_classes() {
  need screen window
  trap stop_screen EXIT
  (
    unset DISPLAY
    start_screen
    AMBER_SHIM_CLASSES="$1/lib/classes.txt" "$1/bin/amber-shim" --record-classes
    stop_screen
  ) >"$out/classes.log" 2>&1 || {
    say "the rehearsal failed; the last lines of target/package/classes.log:"
    tail -n 5 "$out/classes.log" >&2
    exit 1
  }
  rm "$out/classes.log"
  rm -rf "$1/ready"
}
