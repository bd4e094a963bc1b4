import { useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';

/** What a page shows, by the names it has in the address; what is as usual has none. */
type Addressed<Name extends string> = Partial<Record<Name, string>>;

/**
 * What a page shows, kept in its address: a reload shows it again, and so does whoever opens the link. It stays
 * while something of the page is open over it or beside it, and stands in the address again once that is closed.
 * `home`: the path of the page itself.
 */
export function useAddressed<Name extends string>(
  names: readonly Name[],
  home: string,
): [shown: Addressed<Name>, change: (next: Addressed<Name>) => void] {
  const params = useGlobalSearchParams() as Addressed<Name>;
  const router = useRouter();
  const isHome = usePathname() === home;
  const [shown, setShown] = useState<Addressed<Name>>(() => pick(params, names));
  const isToldSo = names.every((name) => params[name] === shown[name]);
  useEffect(() => {
    if (isHome && !isToldSo) router.setParams(allOf(shown, names));
  });
  return [shown, (next) => setShown(pick(next, names))];
}

function pick<Name extends string>(from: Addressed<Name>, names: readonly Name[]): Addressed<Name> {
  return Object.fromEntries(names.flatMap((name) => (from[name] ? [[name, from[name]]] : []))) as Addressed<Name>;
}

/** With what is not there as undefined, which takes it out of the address. */
function allOf<Name extends string>(from: Addressed<Name>, names: readonly Name[]): Record<string, string | undefined> {
  return Object.fromEntries(names.map((name) => [name, from[name]]));
}
