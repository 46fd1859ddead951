/** The promises under faults: real server processes against a real post office that misbehaves on command. */
package app.jubek.e2e.promises;
