package westtide.desktop;

import java.util.List;
import westtide.compose.SongDraft;
import westtide.song.Role;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.style.StyleBook;
import westtide.theory.Chord;

/** A drafted trap song in front. */
abstract class TrapSongTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(
        SongDraft.in(StyleBook.shipped().get("trap"))
            .withSeed(7)
            .withChords("i9 | VImaj7 | III VII | iv7")
            .song());
  }

  List<String> chords() {
    return song().progression("hook").chords().stream().map(Chord::toString).toList();
  }

  Pattern.Drums groove() {
    return (Pattern.Drums) song().parts(Role.DRUMS).get(0).pattern("A").pattern();
  }

  List<Note> line() {
    return ((Pattern.Written) song().parts(Role.LINE).get(0).pattern("A").pattern()).notes();
  }
}
