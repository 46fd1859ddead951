import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Problem, problemText } from '../api/problem';
import { StandInPage } from '../features/absence';
import { AddressBook } from '../features/addressbook';
import { AgreementPage } from '../features/destinations';
import { CatchUps } from '../features/catchup';
import { Desk } from '../features/desk';
import { HandedOnPage } from '../features/handedon';
import { Setup } from '../features/hours';
import { Incoming } from '../features/incoming';
import { CurrentMailbox, useChosen } from '../features/mailbox';
import { Notices } from '../features/notices';
import { Outside } from '../features/outside';
import { Records } from '../features/records';
import { RuleList } from '../features/rules';
import { SignIn, useSession } from '../features/session';
import { Templates } from '../features/templates';
import { Rehearse } from '../features/rehearsal';
import { Timetable } from '../features/timetable';
import { Trials } from '../features/trials';
import { Workbench } from '../features/workbench';
import { Empty, Loading, Trouble } from '../ui/States';
import { Shell } from './Shell';
import { useLive } from './useLive';
import { keys } from '../api/keys';

/** As many as there are in the tokens. */
const HUES = 4;

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (times, failed) => failed instanceof Problem && failed.status === 0 && times < 2,
      refetchOnWindowFocus: false,
    },
    mutations: {
      onError: (failed) => {
        if (failed instanceof Problem && failed.status === 401) {
          void queries.invalidateQueries({ queryKey: keys.session() });
        }
      },
    },
  },
});

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Routes>
          <Route path="/agree/:token" element={<AgreementPage />} />
          <Route path="/stand-in/:token" element={<StandInPage />} />
          <Route path="/handed-on/:token" element={<HandedOnPage />} />
          <Route path="*" element={<Door />} />
        </Routes>
      </BrowserRouter>
    </QueryClientProvider>
  );
}

function Door() {
  const session = useSession();
  const mailbox = useChosen(session.data?.mailboxes ?? []);
  useLive(queries, session.data?.name !== undefined);
  if (session.isPending) {
    return <Loading what="Loading Jubek" />;
  }
  if (session.isError) {
    return (
      <div className="p-6">
        <Trouble text={problemText(session.error)} onRetry={() => void session.refetch()} />
      </div>
    );
  }
  const { name, mailboxes, demo } = session.data;
  if (name === undefined) {
    return <SignIn demo={demo} />;
  }
  if (mailbox === undefined) {
    return <Empty>You have no mailbox yet. Add one to the settings and start Jubek again.</Empty>;
  }
  return (
    <>
      <CurrentMailbox key={mailbox.id} value={mailbox.id}>
        <Routes>
          <Route element={<Shell name={name} demo={demo} hue={mailboxes.indexOf(mailbox) % HUES} />}>
            <Route path="/desk" element={<Desk />} />
            <Route path="/incoming/:message?" element={<Incoming />} />
            <Route path="/rules" element={<RuleList />} />
            <Route path="/rules/:rule" element={<Workbench />} />
            <Route path="/templates" element={<Templates />} />
            <Route path="/timetable" element={<Timetable />} />
            <Route path="/trials" element={<Trials />} />
            <Route path="/trials/rehearsal" element={<Rehearse />} />
            <Route path="/records/catch-ups" element={<CatchUps />} />
            <Route path="/records" element={<Records />} />
            <Route path="/address-book" element={<AddressBook />} />
            <Route path="/setup" element={<Setup />} />
            {demo && <Route path="/outside" element={<Outside />} />}
            <Route path="*" element={<Navigate to="/desk" replace />} />
          </Route>
        </Routes>
      </CurrentMailbox>
      <Notices />
    </>
  );
}
