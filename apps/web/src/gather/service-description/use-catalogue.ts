import { emptyCatalogue, type ServiceCatalogue } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { catalogueQuery } from './service.queries.js';

/** The school's services, ready for use; none until they are here, since everything works without them too. */
export function useCatalogue(): ServiceCatalogue {
  return useQuery(catalogueQuery).data ?? emptyCatalogue;
}
