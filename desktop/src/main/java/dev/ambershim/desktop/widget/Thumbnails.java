package dev.ambershim.desktop.widget;

import dev.ambershim.core.plan.Photo;
import dev.ambershim.desktop.model.WorkModel;
import java.io.ByteArrayInputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;

/** Small pictures of photos, fetched once each. */
public final class Thumbnails extends FlowPane {
  private final WorkModel bench;
  private final double size;
  private final Map<String, Image> known = new HashMap<>();
  private List<Photo> shown = List.of();

  /**
   * None yet.
   *
   * @param size longest side, pixels
   */
  public Thumbnails(WorkModel bench, double size) {
    super(8, 8);
    this.bench = bench;
    this.size = size;
  }

  /** Shows some photos. */
  public void show(List<Photo> photos) {
    if (photos.equals(shown)) {
      return;
    }
    shown = List.copyOf(photos);
    getChildren().clear();
    for (Photo photo : shown) {
      ImageView view = new ImageView(known.get(photo.sha256()));
      view.setPreserveRatio(true);
      view.setFitWidth(size);
      view.setFitHeight(size);
      view.setId("photo-" + photo.sha256().substring(0, Math.min(8, photo.sha256().length())));
      view.setAccessibleText(photo.name());
      getChildren().add(view);
      if (view.getImage() == null) {
        bench.thumbnail(
            photo,
            png ->
                png.ifPresent(
                    bytes -> {
                      Image image = new Image(new ByteArrayInputStream(bytes));
                      known.put(photo.sha256(), image);
                      view.setImage(image);
                    }));
      }
    }
  }
}
