/** The sixth stage: parts down, sections across, each cell a small tank. */
package westtide.desktop.form;
