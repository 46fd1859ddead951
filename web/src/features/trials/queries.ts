import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { upload } from '../../api/upload';
import { useEvidenceDays, useMailboxId } from '../mailbox';

/** All trials with what they come to, and the cases of each rule that they show. */
export function useTrials() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.trials(mailbox, 'all'),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/trials', { params: { path: { mailbox } } })),
  });
}

/** The cases of one rule, with a message for each that no trial shows. */
export function useMissing(rule: string, wanted: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.trials(mailbox, 'missing', rule, days),
    enabled: wanted,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/trials/missing', {
          params: { path: { mailbox }, query: { rule, days } },
        }),
      ),
  });
}

export function useTrialCounts() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.trials(mailbox, 'counts'),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/trials/counts', { params: { path: { mailbox } } })),
  });
}

/** One trial with its message. */
export function useTrial(trial: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.trials(mailbox, 'one', trial),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/trials/{trial}', { params: { path: { mailbox, trial } } })),
  });
}

function useRenewed() {
  const queries = useQueryClient();
  return () => queries.invalidateQueries({ queryKey: keys.trials() });
}

export function useKeepTrial() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (body: Schemas['TrialKeeping']) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/trials', { params: { path: { mailbox } }, body })),
    onSuccess: renewed,
  });
}

/** Examples beyond this many show hardly more. */
const MOST_EXAMPLES = 20;

/** The messages that a rule was made from become its trials; one that is gone meanwhile is passed over. */
export function useKeepExamples() {
  const keep = useKeepTrial();
  return (rule: string, { wanted, unwanted }: { wanted: number[]; unwanted: number[] }): void => {
    [...wanted.map((id) => [id, true] as const), ...unwanted.map((id) => [id, false] as const)]
      .slice(0, MOST_EXAMPLES)
      .forEach(([message, picked]) => keep.mutate({ ruleId: rule, order: 0, message, picked }));
  };
}

/** Keeps the messages that are proposed for some cases of a rule. */
export function useKeepMissing() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: ({ rule, cases }: { rule: string; cases: string[] }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/trials/missing', {
          params: { path: { mailbox } },
          body: { rule, cases, days },
        }),
      ),
    onSuccess: renewed,
  });
}

export function useChangeTrial() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: ({ trial, change }: { trial: string; change: Schemas['TrialChange'] }) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/trials/{trial}', {
          params: { path: { mailbox, trial } },
          body: change,
        }),
      ),
    onSuccess: renewed,
  });
}

/** What happens now is what must happen from now on. */
export function useAcceptTrial() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (trial: string) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/trials/{trial}/accepted', {
          params: { path: { mailbox, trial } },
        }),
      ),
    onSuccess: renewed,
  });
}

export function useRemoveTrial() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (trial: string) =>
      unwrap(api.DELETE('/api/mailboxes/{mailbox}/trials/{trial}', { params: { path: { mailbox, trial } } })),
    onSuccess: renewed,
  });
}

/** The trial's message with names, addresses and long numbers taken out; nothing is kept. */
export function useBlanked() {
  const mailbox = useMailboxId();
  return useMutation({
    mutationFn: (trial: string) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/trials/{trial}/blanked', {
          params: { path: { mailbox, trial } },
        }),
      ),
  });
}

/** Where all trials are fetched as one archive. */
export function useArchiveAddress(): string {
  return `/api/mailboxes/${useMailboxId()}/trials/files`;
}

export function useTakeFiles() {
  const address = useArchiveAddress();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (file: File) => upload<Schemas['TrialsTaken']>('POST', address, file),
    onSuccess: renewed,
  });
}

/** The trials whose messages name an address. */
export function useTrialsOf(address: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.trials(mailbox, 'of person', address),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/trials/of-person', {
          params: { path: { mailbox }, query: { address } },
        }),
      ),
  });
}

export function useEraseTrialsOf() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (address: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/trials/of-person', {
          params: { path: { mailbox }, query: { address } },
        }),
      ),
    onSuccess: renewed,
  });
}
