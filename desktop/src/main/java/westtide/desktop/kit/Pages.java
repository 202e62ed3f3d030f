package westtide.desktop.kit;

import java.util.List;
import javafx.event.Event;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * Pages of which one is in front, chosen by their titles.
 *
 * @param <S> what they show
 */
public final class Pages<S> extends Region {
  private static final double GAP = 6;

  /** What is left of a page where large text or a low window leaves no room; it scrolls. */
  private static final double SQUEEZED = 44;

  private final List<? extends Page<S>> pages;
  private final Runnable turned;
  private final Chips<Page<S>> tabs;
  private final StackPane front = new StackPane();
  private final ScrollPane scroll = new ScrollPane(front);
  private final PageHandle handle;
  private final PageSpace space;
  private Page<S> page;

  /**
   * Pages, the first in front, over the row of their titles. All are as high as the space for them
   * is; what is higher is scrolled. The one in front is folded away and back by choosing it again.
   *
   * @param space where they stand, for all pages of the window alike
   * @param turned told when another one is in front
   */
  public Pages(String prefix, List<? extends Page<S>> pages, PageSpace space, Runnable turned) {
    this.space = space;
    this.pages = pages;
    this.turned = turned;
    this.page = pages.get(0);
    this.tabs = new Chips<>(prefix, Page::title, this::press);
    tabs.getStyleClass().add("page-titles");
    this.handle = new PageHandle(space);
    space.open().addListener((o, was, is) -> showOpen());
    space.height().addListener((o, was, is) -> requestLayout());
    front.setAlignment(Pos.TOP_LEFT);
    front.getChildren().add(page.node());
    front.addEventHandler(MouseEvent.MOUSE_PRESSED, Event::consume);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    scroll.getStyleClass().add("page");
    getChildren().addAll(handle, scroll, tabs);
    showOpen();
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefHeight(double width) {
    return titles(width) + (isOpen() ? PageHandle.HEIGHT + space.height().get() + GAP : 0);
  }

  @Override
  protected double computeMinHeight(double width) {
    return titles(width) + (isOpen() ? PageHandle.HEIGHT + SQUEEZED + GAP : 0);
  }

  private boolean isOpen() {
    return space.open().get();
  }

  private double titles(double width) {
    return snapSizeY(tabs.prefHeight(width));
  }

  @Override
  protected void layoutChildren() {
    double foot = getHeight() - titles(getWidth());
    handle.resizeRelocate(0, 0, getWidth(), PageHandle.HEIGHT);
    scroll.resizeRelocate(
        0, PageHandle.HEIGHT, getWidth(), Math.max(0, foot - GAP - PageHandle.HEIGHT));
    tabs.resizeRelocate(0, foot, getWidth(), titles(getWidth()));
  }

  private void showOpen() {
    scroll.setVisible(isOpen());
    handle.setVisible(isOpen());
    showTabs();
    requestLayout();
  }

  /** The page in front is marked while it is seen. */
  private void showTabs() {
    tabs.showMany(List.copyOf(pages), isOpen() ? List.of(page) : List.of());
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
    if (chosen == page && isOpen()) {
      space.open().set(false);
    } else {
      turnTo(chosen);
    }
  }

  /** Brings a page to the front, and opens it. */
  public void turnTo(Page<S> chosen) {
    bring(chosen);
    space.open().set(true);
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
