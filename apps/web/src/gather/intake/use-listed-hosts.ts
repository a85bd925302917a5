import { emptyCatalogue, listedHosts, type IsListedHost } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { catalogueQuery } from '../service-description/service.queries.js';

/** The hosts that the school named: of its services, its own server and its short links. @param wanted false while nothing is read */
export function useListedHosts(wanted: boolean): IsListedHost {
  const catalogue = useQuery({ ...catalogueQuery, enabled: wanted }).data ?? emptyCatalogue;
  const school = useQuery({ ...schoolQuery, enabled: wanted }).data;
  return useMemo(
    () => listedHosts(catalogue, [school?.publicAddress ?? null, school?.shortLinkHost ?? null]),
    [catalogue, school?.publicAddress, school?.shortLinkHost],
  );
}
