/** What those who get mail of the post office do by themselves: answer it, or let it come back. */
@NullMarked
package app.jubek.demo.recipients;

import org.jspecify.annotations.NullMarked;
