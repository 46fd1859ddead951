import { beforeSaving, isAt } from '../model';
import { useDestinations } from '../queries';

interface Props {
  addresses: string[];
  ownDomains: string[];
}

/** Of the addresses that an action names, what becomes of mail to those outside. */
export function OutsideNotes({ addresses, ownDomains }: Props) {
  const destinations = useDestinations().data ?? [];
  const outside = [...new Set(addresses)].filter((to) => !ownDomains.some((own) => isAt(to, own)));
  return outside.map((address) => (
    <p key={address} className="mt-1.5 text-sm text-clay">
      {beforeSaving(address, destinations)}
    </p>
  ));
}
