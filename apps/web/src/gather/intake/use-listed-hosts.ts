import { emptyCatalogue, listedHosts, type IsListedHost } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { catalogueQuery } from '../service-description/service.queries.js';

export interface ListedHosts {
  readonly isListed: IsListedHost;
  /** They are on their way: what is read now may be read otherwise in a moment. */
  readonly coming: boolean;
}

/** The hosts that the school named: of its services, its own server and its short links. @param wanted false while nothing is read */
export function useListedHosts(wanted: boolean): ListedHosts {
  const services = useQuery({ ...catalogueQuery, enabled: wanted });
  const school = useQuery({ ...schoolQuery, enabled: wanted });
  const catalogue = services.data ?? emptyCatalogue;
  const { publicAddress = null, shortLinkHost = null } = school.data ?? {};
  const isListed = useMemo(
    () => listedHosts(catalogue, [publicAddress, shortLinkHost]),
    [catalogue, publicAddress, shortLinkHost],
  );
  return { isListed, coming: services.isLoading || school.isLoading };
}
