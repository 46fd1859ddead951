import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import type { TemplateText } from './model';

const ANSWERED = 20;

/** The mailbox's templates, and the fields they can use. */
export function useTemplates() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.templates(mailbox),
    enabled: mailbox !== '',
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/templates', { params: { path: { mailbox } } })),
    select: withNames,
  });
}

function withNames({ templates, fields }: Schemas['TemplatesView']) {
  return { templates, fields: fields.map((field) => ({ ...field, name: field.name.words })) };
}

/** Names of templates, by id. */
export function useTemplateNames(): Map<string, string> {
  const found = useTemplates();
  return new Map((found.data?.templates ?? []).map((one) => [one.id, one.written.name]));
}

export function useVersions(template: string, open: boolean) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.templateVersions(mailbox, template),
    enabled: open,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/templates/{template}/versions', {
          params: { path: { mailbox, template } },
        }),
      ),
  });
}

/**
 * @param onStored at once, before the page knows the new version
 */
export function useSaveTemplate(onStored: () => void = () => undefined) {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...saving }: Schemas['TemplateSaving'] & { id: string }) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/templates/{template}', {
          params: { path: { mailbox, template: id } },
          body: saving,
        }),
      ),
    onSuccess: (_, { id }) => {
      onStored();
      void queries.invalidateQueries({ queryKey: keys.templateVersions(mailbox, id) });
      return queries.invalidateQueries({ queryKey: keys.templates(mailbox) });
    },
  });
}

export function useRemoveTemplate() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, baseVersion }: { id: string; baseVersion: number }) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/templates/{template}', {
          params: { path: { mailbox, template: id }, query: { baseVersion } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.templates(mailbox) }),
  });
}

/** Real messages to see a template on: the latest that people wrote. */
export function useAnswerable() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.answerable(mailbox, days),
    queryFn: async () => {
      const page = await unwrap(
        api.POST('/api/mailboxes/{mailbox}/messages/search', {
          params: { path: { mailbox } },
          body: {
            words: '',
            criteria: [{ part: 'sent by', how: 'is', values: ['person'] }],
            days,
            offset: 0,
            limit: ANSWERED,
          },
        }),
      );
      return page.lines.map((line) => line.message);
    },
  });
}

/** What a template is seen on: a past message, or a sample message. */
export type SeenOn = { message: number } | { sample: Schemas['SampleMessage'] };

/** What the writer of a message would get; the last picture stays until the next one is there. */
export function usePreview(written: TemplateText, seenOn: SeenOn | undefined) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.preview(mailbox, days, written, seenOn),
    enabled: seenOn !== undefined && written.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/template-preview', {
          params: { path: { mailbox } },
          body: { written: { ...written, name: written.name || 'new' }, days, ...seenOn },
          signal,
        }),
      ),
  });
}
