package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Overlay;

/**
 * Chooses a file: the folder's song files and folders in a list, and the whole path in a field to
 * type in.
 */
public final class FilePanel extends VBox {
  private final Overlay overlay;
  private final TextField path = Controls.field("file-path", "path of the file");
  private final VBox rows = new VBox(1);
  private final Label problem = Controls.wrapped("", "problem");
  private final Predicate<Path> shown;
  private final Consumer<Path> chosen;
  private Path folder;

  /** A panel with a title; {@code verb} is what its button says. */
  public FilePanel(
      Overlay overlay,
      String title,
      String verb,
      Path start,
      Predicate<Path> shown,
      Consumer<Path> chosen) {
    this.overlay = overlay;
    this.shown = shown;
    this.chosen = chosen;
    getStyleClass().add("card");
    setPrefWidth(560);
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setPrefHeight(240);
    problem.setId("file-problem");
    Button take = Controls.primary("file-take", verb, this::take);
    getChildren()
        .addAll(
            Controls.title(title),
            path,
            scroll,
            problem,
            Controls.row(
                8,
                Controls.spring(),
                Controls.action("file-leave", "cancel", overlay::close),
                take));
    path.setOnAction(event -> take());
    boolean isFolder = Files.isDirectory(start);
    path.setText(start.toString());
    list(isFolder ? start : start.toAbsolutePath().getParent());
  }

  /** Opens it in front of the window. */
  public void open() {
    overlay.open(this);
    path.requestFocus();
    path.end();
  }

  private void list(Path where) {
    folder = where;
    rows.getChildren().clear();
    if (folder.getParent() != null) {
      rows.getChildren().add(row("‥ folder above", () -> enter(folder.getParent())));
    }
    for (Path entry : entries(folder)) {
      String name = entry.getFileName().toString();
      boolean into = Files.isDirectory(entry);
      rows.getChildren().add(row(into ? name + " /" : name, () -> pick(entry)));
    }
  }

  private List<Path> entries(Path where) {
    List<Path> out = new ArrayList<>();
    try (DirectoryStream<Path> stream = Files.newDirectoryStream(where)) {
      for (Path entry : stream) {
        boolean hidden = entry.getFileName().toString().startsWith(".");
        if (!hidden && (Files.isDirectory(entry) || shown.test(entry))) {
          out.add(entry);
        }
      }
    } catch (IOException e) {
      problem.setText("This folder cannot be read; choose another one.");
    }
    out.sort(
        java.util.Comparator.comparing((Path p) -> !Files.isDirectory(p)).thenComparing(p -> p));
    return out;
  }

  private Button row(String words, Runnable run) {
    Button row = new Button(words);
    row.getStyleClass().setAll("button", "command-row");
    row.setMaxWidth(Double.MAX_VALUE);
    row.setOnAction(event -> run.run());
    return row;
  }

  private void pick(Path entry) {
    if (Files.isDirectory(entry)) {
      enter(entry);
    } else {
      path.setText(entry.toString());
    }
  }

  private void enter(Path where) {
    String name = Path.of(path.getText()).getFileName() + "";
    boolean named = name.contains(".");
    path.setText(named ? where.resolve(name).toString() : where.toString());
    list(where);
  }

  private void take() {
    try {
      Path wanted = Path.of(path.getText().strip());
      if (Files.isDirectory(wanted)) {
        list(wanted);
        problem.setText("That is a folder; choose or type a file in it.");
        return;
      }
      overlay.close();
      chosen.accept(wanted);
    } catch (InvalidPathException e) {
      problem.setText("This is no path; type one such as " + folder.resolve("song.tide"));
    }
  }
}
