/** Who may call a route at all. Without a mark: any signed-in member of staff. */
import { SetMetadata } from '@nestjs/common';
import type { RouteAccess } from '@hapset/contract';

export const ROUTE_ACCESS = 'hapset:route-access';
export const ROUTE_CONFIRMED = 'hapset:route-confirmed';

export const Anyone = (): MethodDecorator => SetMetadata(ROUTE_ACCESS, 'anyone' satisfies RouteAccess);
export const OfficeOnly = (): MethodDecorator => SetMetadata(ROUTE_ACCESS, 'office' satisfies RouteAccess);
export const AdministratorOnly = (): MethodDecorator =>
  SetMetadata(ROUTE_ACCESS, 'administrator' satisfies RouteAccess);
/** Asks for the password again where it was given more than 15 minutes ago. */
export const PasswordConfirmed = (): MethodDecorator => SetMetadata(ROUTE_CONFIRMED, true);
