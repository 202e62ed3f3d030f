package westtide.review.finding;

import westtide.song.edit.Edit;

/**
 * A way out of a finding: one edit that can be undone.
 *
 * @param label what the button says
 * @param edit what it does
 */
public record Fix(String label, Edit edit) {}
