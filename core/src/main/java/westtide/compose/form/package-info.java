/** Forms by plan or out of a loop, transitions, teases, builds. */
package westtide.compose.form;
