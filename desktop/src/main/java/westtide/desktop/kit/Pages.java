package westtide.desktop.kit;

import java.util.List;
import javafx.beans.property.BooleanProperty;
import javafx.event.Event;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Pages of which one is in front, chosen by their titles.
 *
 * @param <S> what they show
 */
public final class Pages<S> extends VBox {
  private static final double BORDER = 2;

  private final List<? extends Page<S>> pages;
  private final Runnable turned;
  private final Chips<Page<S>> tabs;
  private final StackPane front = new StackPane();
  private final ScrollPane scroll = new ScrollPane(front);
  private final double least;
  private Page<S> page;
  private final BooleanProperty open;

  /**
   * Pages, the first in front, each as high as it needs but not lower than {@code height}; where
   * the window has no room for that, it is scrolled. The one in front is folded away and back by
   * choosing it again.
   *
   * @param open whether what is in front is seen, for all pages of the window alike
   * @param turned told when another one is in front
   */
  public Pages(
      String prefix,
      double height,
      List<? extends Page<S>> pages,
      BooleanProperty open,
      Runnable turned) {
    super(8);
    this.open = open;
    this.pages = pages;
    this.turned = turned;
    this.page = pages.get(0);
    this.tabs = new Chips<>(prefix, Page::title, this::press);
    showTabs();
    open.addListener((o, was, is) -> showOpen());
    scroll.setVisible(open.get());
    front.setAlignment(Pos.TOP_LEFT);
    front.getChildren().add(page.node());
    front.setMinHeight(height - BORDER);
    front.addEventHandler(MouseEvent.MOUSE_PRESSED, Event::consume);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    this.least = height;
    scroll.getStyleClass().add("page");
    getChildren().addAll(tabs, scroll);
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefHeight(double width) {
    return above(width) + pageHeight(width);
  }

  @Override
  protected double computeMinHeight(double width) {
    return open.get() ? above(width) + least : above(width);
  }

  private double above(double width) {
    return snapSizeY(tabs.prefHeight(width)) + getSpacing();
  }

  private double pageHeight(double width) {
    if (!open.get()) {
      return 0;
    }
    double inner = width < 0 ? -1 : width - BORDER;
    return Math.max(least, snapSizeY(page.node().prefHeight(inner)) + BORDER);
  }

  @Override
  protected void layoutChildren() {
    double above = above(getWidth());
    tabs.resizeRelocate(0, 0, getWidth(), above - getSpacing());
    scroll.resizeRelocate(0, above, getWidth(), Math.max(0, getHeight() - above));
  }

  private void showOpen() {
    scroll.setVisible(open.get());
    showTabs();
    requestLayout();
  }

  /** The page in front is marked while it is seen. */
  private void showTabs() {
    tabs.showMany(List.copyOf(pages), open.get() ? List.of(page) : List.of());
  }

  /** All of them. */
  public List<? extends Page<S>> all() {
    return pages;
  }

  /** Shows a scene on the page in front. */
  public void show(S scene) {
    page.show(scene);
  }

  private void press(Page<S> chosen) {
    if (chosen == page && open.get()) {
      open.set(false);
    } else {
      turnTo(chosen);
    }
  }

  /** Brings a page to the front, and opens it. */
  public void turnTo(Page<S> chosen) {
    bring(chosen);
    open.set(true);
    turned.run();
  }

  /** Brings the first page to the front for another song, which is yet to be shown. */
  public void startOver() {
    bring(pages.get(0));
  }

  /** Brings a page to the front, seen or folded as the pages are. */
  public void bring(Page<S> chosen) {
    page = chosen;
    front.getChildren().setAll(page.node());
    scroll.setVvalue(0);
    showTabs();
  }
}
