/** The third stage: grooves as bead lines. */
package westtide.desktop.drums;
