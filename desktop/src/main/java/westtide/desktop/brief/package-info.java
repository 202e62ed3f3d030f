/** The first stage: style with its reasons, tempo, key and swing. */
package westtide.desktop.brief;
