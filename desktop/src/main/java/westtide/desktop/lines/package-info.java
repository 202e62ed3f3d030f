/** The fifth stage: the written lead on degree rows. */
package westtide.desktop.lines;
