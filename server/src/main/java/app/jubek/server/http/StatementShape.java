package app.jubek.server.http;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * How a statement is sent, for the API's description.
 *
 * @param arguments texts, whole numbers, statements, or lists of them
 * @param words in the language of the page
 */
@Schema(name = "Statement")
record StatementShape(String code, List<Object> arguments, String words) {}
