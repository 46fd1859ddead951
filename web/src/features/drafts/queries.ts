import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** A rule that was begun elsewhere: with criteria, and the message it was started from. */
export interface Begun {
  picksOut: Schemas['Criterion'];
  example?: number;
  /** The messages that belong to it, and those that do not. */
  examples?: { wanted: number[]; unwanted: number[] };
}

/** What is kept of a rule being made: how it was begun, or how far the workbench came with it. */
export interface KeptDraft {
  begun?: Begun;
  bench?: unknown;
}

export function useDrafts() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.drafts(mailbox),
    queryFn: async () => {
      const view = await unwrap(
        api.GET('/api/mailboxes/{mailbox}/drafts', { params: { path: { mailbox } } }),
      );
      return new Map(view.drafts.map((draft) => [draft.rule, draft.document as KeptDraft]));
    },
  });
}

/** Keeps a draft on the server, so that it is there after a reload and in another browser. */
export function useKeepDraft() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ rule, document }: { rule: string; document: KeptDraft }) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/drafts/{rule}', {
          params: { path: { mailbox, rule } },
          body: { document: document as unknown as Record<string, never> },
        }),
      ),
    onSuccess: (_, { rule, document }) =>
      queries.setQueryData<Map<string, KeptDraft>>(keys.drafts(mailbox), (known) =>
        new Map(known ?? []).set(rule, document),
      ),
  });
}

export function useDropDraft() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (rule: string) =>
      unwrap(api.DELETE('/api/mailboxes/{mailbox}/drafts/{rule}', { params: { path: { mailbox, rule } } })),
    onSuccess: (_, rule) =>
      queries.setQueryData<Map<string, KeptDraft>>(keys.drafts(mailbox), (known) => {
        const rest = new Map(known ?? []);
        rest.delete(rule);
        return rest;
      }),
  });
}

/** Begins a rule from criteria and gives its id, under which the workbench opens it. */
export function useBeginRule() {
  const keep = useKeepDraft();
  return async (
    picksOut: Schemas['Criterion'],
    example: number | undefined,
    examples?: Begun['examples'],
  ): Promise<string> => {
    const rule = crypto.randomUUID();
    await keep.mutateAsync({
      rule,
      document: {
        begun: {
          picksOut,
          ...(example === undefined ? {} : { example }),
          ...(examples === undefined ? {} : { examples }),
        },
      },
    });
    return rule;
  };
}
