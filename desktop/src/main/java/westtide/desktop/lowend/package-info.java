/** The fourth stage: 808 and bass against the kick and the range they have to themselves. */
package westtide.desktop.lowend;
