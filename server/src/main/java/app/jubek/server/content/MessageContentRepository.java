package app.jubek.server.content;

interface MessageContentRepository extends ContentPartRepository<MessageContentPart, MessageContentPart.Key, Long> {}
