/** What a score is made of: notes that know where they come from, and what moves beside them. */
package westtide.score.event;
