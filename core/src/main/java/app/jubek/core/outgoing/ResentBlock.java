package app.jubek.core.outgoing;

import app.jubek.core.safety.HopMark;

/** The fields a redirect adds in front of the unchanged message, as one block (RFC 5322 §3.6.6). */
final class ResentBlock {
    private ResentBlock() {}

    static byte[] bytes(Stamp stamp, String hopMark) {
        return new HeaderBlock()
                .with("Resent-From", stamp.from())
                .with("Resent-To", stamp.to())
                .raw("Resent-Date", stamp.date())
                .raw("Resent-Message-ID", stamp.messageId())
                .raw(HopMark.FIELD, hopMark)
                .bytes();
    }
}
