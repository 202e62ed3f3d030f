package westtide.desktop.frame.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.Link;
import org.commonmark.node.ListBlock;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.parser.Parser;
import westtide.desktop.kit.Controls;

/**
 * A page of the guide as text that wraps: headings, paragraphs, lists, tables and links to pages.
 */
final class GuideText {
  private static final Parser PARSER =
      Parser.builder().extensions(List.of(TablesExtension.create())).build();
  private static final double FIRST_COLUMN = 34;

  private final Consumer<GuidePage> turn;

  /** Text whose links turn to another page. */
  GuideText(Consumer<GuidePage> turn) {
    this.turn = turn;
  }

  /** What a page says, its pictures left out. */
  VBox of(String markdown) {
    VBox out = new VBox(9);
    blocks(PARSER.parse(markdown), out);
    return out;
  }

  private void blocks(org.commonmark.node.Node parent, VBox out) {
    for (var block = parent.getFirstChild(); block != null; block = block.getNext()) {
      if (block instanceof Heading heading) {
        out.getChildren().add(heading(heading));
      } else if (block instanceof Paragraph) {
        addFlow(block, out);
      } else if (block instanceof ListBlock list) {
        addItems(list, out);
      } else if (block instanceof TableBlock) {
        out.getChildren().add(table(block));
      } else if (block instanceof FencedCodeBlock code) {
        out.getChildren().add(Controls.wrapped(code.getLiteral().stripTrailing(), "typed"));
      }
    }
  }

  private static Label heading(Heading heading) {
    return Controls.label(plain(heading), heading.getLevel() == 1 ? "start-title" : "family");
  }

  private void addFlow(org.commonmark.node.Node paragraph, VBox out) {
    TextFlow flow = flow(paragraph);
    if (!flow.getChildren().isEmpty()) {
      out.getChildren().add(flow);
    }
  }

  private void addItems(ListBlock list, VBox out) {
    int number = 1;
    for (var item = list.getFirstChild(); item != null; item = item.getNext()) {
      VBox words = new VBox(4);
      blocks(item, words);
      String mark = list instanceof OrderedList ? number + "." : "·";
      words.setPadding(new Insets(0, 0, 0, 6));
      out.getChildren().add(Controls.row(8, Controls.whole(Controls.label(mark, "strong")), words));
      number++;
    }
  }

  private GridPane table(org.commonmark.node.Node table) {
    GridPane grid = new GridPane(18, 8);
    ColumnConstraints wish = new ColumnConstraints();
    wish.setPercentWidth(FIRST_COLUMN);
    ColumnConstraints answer = new ColumnConstraints();
    answer.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().setAll(wish, answer);
    List<TableCell> cells = new ArrayList<>();
    collect(table, cells);
    int columns = (int) cells.stream().filter(TableCell::isHeader).count();
    for (int i = 0; i < cells.size(); i++) {
      TextFlow words = flow(cells.get(i));
      if (cells.get(i).isHeader()) {
        words.getChildren().forEach(text -> text.getStyleClass().add("strong"));
      }
      grid.add(words, i % columns, i / columns);
    }
    return grid;
  }

  private static void collect(org.commonmark.node.Node from, List<TableCell> cells) {
    for (var at = from.getFirstChild(); at != null; at = at.getNext()) {
      if (at instanceof TableCell cell) {
        cells.add(cell);
      } else {
        collect(at, cells);
      }
    }
  }

  private TextFlow flow(org.commonmark.node.Node block) {
    TextFlow flow = new TextFlow();
    flow.setLineSpacing(3);
    run(block, flow, "guide-text");
    return flow;
  }

  private void run(org.commonmark.node.Node parent, TextFlow flow, String look) {
    for (var at = parent.getFirstChild(); at != null; at = at.getNext()) {
      if (at instanceof org.commonmark.node.Text text) {
        flow.getChildren().add(text(text.getLiteral(), look));
      } else if (at instanceof Code code) {
        flow.getChildren().add(text(code.getLiteral(), "guide-code"));
      } else if (at instanceof SoftLineBreak) {
        flow.getChildren().add(text(" ", look));
      } else if (at instanceof Emphasis) {
        run(at, flow, "guide-name");
      } else if (at instanceof StrongEmphasis) {
        run(at, flow, "guide-strong");
      } else if (at instanceof Link link) {
        flow.getChildren().add(link(link));
      } else if (!(at instanceof Image)) {
        run(at, flow, look);
      }
    }
  }

  private Node link(Link link) {
    return GuidePage.linked(link.getDestination())
        .<Node>map(
            page -> {
              Hyperlink words = new Hyperlink(plain(link));
              words.setOnAction(event -> turn.accept(page));
              return words;
            })
        .orElseGet(() -> text(plain(link), "guide-text"));
  }

  private static Text text(String words, String look) {
    Text text = new Text(words);
    text.getStyleClass().add(look);
    return text;
  }

  private static String plain(org.commonmark.node.Node parent) {
    StringBuilder out = new StringBuilder();
    for (var at = parent.getFirstChild(); at != null; at = at.getNext()) {
      out.append(
          at instanceof org.commonmark.node.Text text
              ? text.getLiteral()
              : at instanceof Code code ? code.getLiteral() : plain(at));
    }
    return out.toString();
  }
}
