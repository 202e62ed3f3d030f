/** The guide in the window: the pages of docs/guide, read from Markdown and laid out as text. */
package westtide.desktop.frame.guide;
