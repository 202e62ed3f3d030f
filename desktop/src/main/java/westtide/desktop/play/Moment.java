package westtide.desktop.play;

/**
 * Where the song is in one frame of the window.
 *
 * @param playing whether it moves
 * @param tick ticks from the beginning
 * @param section the section it is in, from 0
 * @param sectionTick ticks from the beginning of that section
 */
public record Moment(boolean playing, double tick, int section, double sectionTick) {}
