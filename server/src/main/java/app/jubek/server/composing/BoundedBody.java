package app.jubek.server.composing;

import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Flow;

/** The text of a body; empty of one that is larger than may be, the rest of which is not fetched. */
final class BoundedBody implements HttpResponse.BodySubscriber<Optional<String>> {
    private final int most;
    private final ByteArrayOutputStream read = new ByteArrayOutputStream();
    private final CompletableFuture<Optional<String>> body = new CompletableFuture<>();
    private final CompletableFuture<Flow.Subscription> subscription = new CompletableFuture<>();

    BoundedBody(int most) {
        this.most = most;
    }

    @Override
    public CompletionStage<Optional<String>> getBody() {
        return body;
    }

    @Override
    public void onSubscribe(Flow.Subscription given) {
        subscription.complete(given);
        given.request(Long.MAX_VALUE);
    }

    @Override
    public void onNext(List<ByteBuffer> parts) {
        for (ByteBuffer part : parts) {
            byte[] bytes = new byte[part.remaining()];
            part.get(bytes);
            if (read.size() + bytes.length > most) {
                subscription.join().cancel();
                body.complete(Optional.empty());
                return;
            }
            read.writeBytes(bytes);
        }
    }

    @Override
    public void onError(Throwable broken) {
        body.completeExceptionally(broken);
    }

    @Override
    public void onComplete() {
        body.complete(Optional.of(read.toString(StandardCharsets.UTF_8)));
    }
}
