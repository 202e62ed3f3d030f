/** What is found: checks by name, findings with a way out, measures beside their usual range. */
package westtide.review.finding;
