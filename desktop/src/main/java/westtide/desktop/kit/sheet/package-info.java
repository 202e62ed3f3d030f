/** Sheets to draw on and pull in: axes, gestures, scales and figures that every room shares. */
package westtide.desktop.kit.sheet;
