package westtide.review.finding;

import java.util.Optional;

/**
 * Something that looks wrong, or unusual enough to be asked about.
 *
 * @param id the same for the same finding at the same place, so that it can be left alone
 * @param severity how much it matters
 * @param title what was found, figure included
 * @param where bar and beat, or the section
 * @param why why it matters or why it may be meant, with the range expected
 * @param fix a way out, if there is one
 */
public record Finding(
    FindingId id, Severity severity, String title, String where, String why, Optional<Fix> fix) {}
