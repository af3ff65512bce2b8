package dev.ambershim.desktop.widget;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

/** Asks the person for files and folders. A stand-in takes its place in tests. */
public interface FilePicker {
  /** Files to read; none if the person thought better of it. */
  List<Path> open(String title, String kind, String... patterns);

  /** A file to write. */
  Optional<Path> save(String title, String suggested, String kind, String pattern);

  /** A folder. */
  Optional<Path> folder(String title);

  /** The system's own dialogs over a window. */
  static FilePicker over(Window window) {
    return new FilePicker() {
      @Override
      public List<Path> open(String title, String kind, String... patterns) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().add(new ExtensionFilter(kind, patterns));
        chooser.getExtensionFilters().add(new ExtensionFilter("All files", "*"));
        List<File> files = chooser.showOpenMultipleDialog(window);
        return files == null ? List.of() : files.stream().map(File::toPath).toList();
      }

      @Override
      public Optional<Path> save(String title, String suggested, String kind, String pattern) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.setInitialFileName(suggested);
        chooser.getExtensionFilters().add(new ExtensionFilter(kind, pattern));
        return Optional.ofNullable(chooser.showSaveDialog(window)).map(File::toPath);
      }

      @Override
      public Optional<Path> folder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        return Optional.ofNullable(chooser.showDialog(window)).map(File::toPath);
      }
    };
  }
}
