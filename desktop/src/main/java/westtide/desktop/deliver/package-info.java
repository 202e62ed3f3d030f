/** The last stage: what is written, where and under which names. */
package westtide.desktop.deliver;
