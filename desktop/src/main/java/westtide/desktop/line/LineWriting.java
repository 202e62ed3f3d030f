package westtide.desktop.line;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import westtide.follow.ChordDegrees;
import westtide.follow.KeyFigures;
import westtide.song.Brief;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LineEdits;
import westtide.song.line.Note;
import westtide.song.pattern.AttachedText;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.WrittenText;
import westtide.text.Reading;

/** The text of a written line, whichever way its notes are written. */
interface LineWriting {
  /** The line as text. */
  String format();

  /** Takes a text in its place, or says what is wrong with it. */
  Optional<Reading.Problem<?>> type(String typed, Consumer<Edit> apply);

  /** What is to be said of a text that was taken: what was done to it, or could have been meant. */
  Optional<String> told(String typed);

  /** The writing of a line; empty where a rule plays it. */
  static Optional<LineWriting> of(HeardLine line) {
    Pattern pattern = line.part().pattern(line.pattern()).pattern();
    Brief brief = line.song().brief();
    if (pattern instanceof Pattern.Written written) {
      WrittenText text = WrittenText.of(written, brief.key(), brief.meter());
      return Optional.of(
          new Of(line, text.format(written), typed -> text.changed(written, typed), text::bars));
    }
    if (pattern instanceof Pattern.Phrase phrase) {
      Pattern.Written written = phrase.written(brief.key(), brief.meter());
      WrittenText text = WrittenText.of(written, brief.key(), brief.meter());
      return Optional.of(
          new Of(line, text.format(written), typed -> text.changed(written, typed), text::bars));
    }
    if (pattern instanceof Pattern.Attached attached) {
      AttachedText text = new AttachedText(brief.meter());
      return Optional.of(
          new Of(line, text.format(attached), typed -> text.changed(attached, typed), text::bars));
    }
    return Optional.empty();
  }

  /** Tells how many bars a text fills. */
  interface Measurer {
    Reading<Integer> bars(String typed);
  }

  /** Reads a text. */
  interface Reader {
    Reading<? extends Pattern> read(String typed);
  }

  /** A text with what reads it. */
  record Of(HeardLine line, String format, Reader reader, Measurer measurer)
      implements LineWriting {
    @Override
    public Optional<Reading.Problem<?>> type(String typed, Consumer<Edit> apply) {
      Reading<? extends Pattern> reading = reader.read(typed);
      if (reading instanceof Reading.Problem<? extends Pattern> problem) {
        return Optional.of(problem);
      }
      LineEdits edits = new LineEdits(line.part().id(), line.pattern());
      String name = "Type " + line.part().name();
      Pattern typedLine = reading.orElseThrow();
      boolean linked = line.phrase().isPresent() && typedLine instanceof Pattern.Written;
      apply.accept(
          linked
              ? edits.put(name, line.notes(), inside((Pattern.Written) typedLine))
              : edits.replace(name, typedLine));
      return Optional.empty();
    }

    @Override
    public Optional<String> told(String typed) {
      int typedBars = measurer.bars(typed).orElseThrow();
      if (typedBars < line.bars()) {
        String typedWords = typedBars == 1 ? "1 bar" : typedBars + " bars";
        return Optional.of(
            line.bars() % typedBars == 0
                ? "The pattern is " + typedWords + " long now and repeats."
                : "The pattern has "
                    + line.bars()
                    + " bars: the "
                    + typedWords
                    + " you typed are repeated to fill them.");
      }
      return reader.read(typed).orElseThrow() instanceof Pattern.Attached attached
          ? figures(attached).told(attached.notes())
          : Optional.empty();
    }

    private KeyFigures figures(Pattern.Attached attached) {
      return new KeyFigures(
          new ChordDegrees(line.harmony(), line.song().brief().key(), attached.lowest()));
    }

    /** A phrase keeps its length. */
    private List<Note> inside(Pattern.Written typed) {
      return typed.notes().stream().filter(note -> note.start() < line.ticks()).toList();
    }
  }
}
