import { listedHosts, type IsListedHost } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { useCatalogue } from '../service-description/use-catalogue.js';

/** The hosts that the school named: of its services, its own server and its short links. */
export function useListedHosts(): IsListedHost {
  const catalogue = useCatalogue();
  const school = useQuery(schoolQuery).data;
  return useMemo(
    () => listedHosts(catalogue, [school?.publicAddress ?? null, school?.shortLinkHost ?? null]),
    [catalogue, school?.publicAddress, school?.shortLinkHost],
  );
}
