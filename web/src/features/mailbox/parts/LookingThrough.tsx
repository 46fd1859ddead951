import { Loading } from '../../../ui/States';
import { pastMailInWords } from '../pastMail';
import { usePastMail } from '../queries';

/** Past mail is looked through; the first time it has to be loaded, which takes a while. */
export function LookingThrough() {
  const past = usePastMail();
  const loading = past.data?.ready === false ? `: ${pastMailInWords(past.data)}` : '';
  return <Loading what={`Loading past mail${loading}`} />;
}
