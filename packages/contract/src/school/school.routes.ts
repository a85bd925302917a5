/** Routes about who works here: sessions, accounts, settings, devices, classes. */
import type { SessionView, SignIn, WelcomeView } from './account.js';
import type { ActivityPage } from './activity.js';
import type {
  AccountLinkMade,
  AccountLinkToken,
  AccountLinkView,
  ChangeEmail,
  ChangeName,
  SetPassword,
  ChangeStaff,
  ConfirmPassword,
  CreateAccount,
  HandedOver,
  HandOver,
  Invite,
  OwnAccount,
  ResetPassword,
  StaffMember,
  StaffView,
} from './staff.js';
import type { ChangeDevice, CreateDevice, DeviceView } from './device.js';
import type {
  AddressesOnPaper,
  ChangeSchool,
  ChangeTeacherClasses,
  SchoolView,
  ServerNotes,
  TeacherClassesView,
} from './settings.js';
import type { ChangeSchoolClass, CreateSchoolClass, SchoolClassView } from './school-class.js';
import type { ChangeRetention, RetentionView } from './retention.js';
import type { ArrivalMade } from './arrival.js';
import { atOnce, confirmed, route } from '../platform/route.js';

/** They are part of `routes`. */
export const schoolRoutes = {
  welcome: route<WelcomeView>('GET', '/api/welcome', 'anyone'),
  signIn: atOnce(route<SessionView, SignIn>('POST', '/api/session', 'anyone')),
  session: route<SessionView>('GET', '/api/session'),
  signOut: atOnce(route<null>('DELETE', '/api/session')),
  /** Succeeds where the password was given lately: asked before a file that asks for it is fetched by a link. */
  confirmation: confirmed(route<null>('GET', '/api/session/confirmation')),
  confirmPassword: atOnce(route<null, ConfirmPassword>('POST', '/api/session/confirmation')),

  /** One-time links: their tokens are in bodies, never in addresses that logs hold. */
  accountLink: atOnce(route<AccountLinkView, AccountLinkToken>('POST', '/api/account-links', 'anyone')),
  createAccount: atOnce(route<SessionView, CreateAccount>('POST', '/api/account-links/account', 'anyone')),
  resetPassword: atOnce(route<SessionView, ResetPassword>('POST', '/api/account-links/password', 'anyone')),

  ownAccount: route<OwnAccount>('GET', '/api/account'),
  changeName: route<SessionView, ChangeName>('PATCH', '/api/account'),
  changeEmail: confirmed(atOnce(route<SessionView, ChangeEmail>('PUT', '/api/account/email'))),
  setPassword: atOnce(route<null, SetPassword>('PUT', '/api/account/password')),
  endSession: route<null>('DELETE', '/api/account/sessions/:sessionId'),

  staff: route<StaffView>('GET', '/api/staff', 'administrator'),
  invite: confirmed(atOnce(route<AccountLinkMade, Invite>('POST', '/api/staff/invitations', 'administrator'))),
  revokeInvitation: route<null>('DELETE', '/api/staff/invitations/:invitationId', 'administrator'),
  changeStaff: confirmed(route<StaffMember, ChangeStaff>('PATCH', '/api/staff/:accountId', 'administrator')),
  makeResetLink: confirmed(atOnce(route<AccountLinkMade>('POST', '/api/staff/:accountId/reset-link', 'administrator'))),
  handOver: confirmed(route<HandedOver, HandOver>('POST', '/api/staff/:accountId/handover', 'administrator')),

  /** A code by which a phone shows that it reaches this server. */
  makeArrival: atOnce(route<ArrivalMade>('POST', '/api/arrivals', 'administrator')),
  arrivalPage: route<string>('GET', '/p/arrivals/:arrivalToken', 'anyone'),

  /** `?before=`, `?activity=`, `?who=`: the page before an entry, of one kind, of one person. */
  activity: route<ActivityPage>('GET', '/api/activity', 'administrator'),
  activityCsv: confirmed(route<string>('GET', '/api/activity.csv', 'administrator')),

  retention: route<RetentionView>('GET', '/api/retention', 'administrator'),
  changeRetention: confirmed(route<RetentionView, ChangeRetention>('PUT', '/api/retention', 'administrator')),

  school: route<SchoolView>('GET', '/api/school'),
  changeSchool: route<SchoolView, ChangeSchool>('PATCH', '/api/school', 'administrator'),
  onPaper: route<AddressesOnPaper>('GET', '/api/school/on-paper', 'administrator'),
  teacherClasses: route<TeacherClassesView>('GET', '/api/school/teacher-classes', 'office'),
  changeTeacherClasses: route<TeacherClassesView, ChangeTeacherClasses>(
    'PUT',
    '/api/school/teacher-classes',
    'administrator',
  ),
  /** What only the administrator has to know of how this server runs. */
  serverNotes: route<ServerNotes>('GET', '/api/school/server-notes', 'administrator'),
  /** Takes the host off the list of those at whose root short links are answered. */
  removeFormerHost: route<null>('DELETE', '/api/school/former-hosts/:formerHost', 'administrator'),
  devices: route<readonly DeviceView[]>('GET', '/api/devices'),
  createDevice: route<DeviceView, CreateDevice>('POST', '/api/devices', 'administrator'),
  changeDevice: route<DeviceView, ChangeDevice>('PATCH', '/api/devices/:deviceId', 'administrator'),
  removeDevice: route<null>('DELETE', '/api/devices/:deviceId', 'administrator'),
  classes: route<readonly SchoolClassView[]>('GET', '/api/classes'),
  createClass: route<SchoolClassView, CreateSchoolClass>('POST', '/api/classes'),
  changeClass: route<SchoolClassView, ChangeSchoolClass>('PATCH', '/api/classes/:classId'),
} as const;
