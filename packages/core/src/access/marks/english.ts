import type { LanguageMarks } from './language-marks.js';

export const english: LanguageMarks = {
  askForAccess: ['request access', 'ask for access', 'you need access', 'you need permission', 'access denied', "don't have permission", 'do not have permission', "don't have access", 'do not have access', 'not shared with you', 'ask the owner for'],
  isPrivate: ['private video', 'video is private', 'private album', 'this page is private', 'this file is private', 'content is private', 'access is restricted'],
  organisation: ['members of the organisation', 'members of the organization', 'members of your organisation', 'people in your organisation', 'people in your organization', 'within the organisation', 'within the organization', 'only available to members of', 'only to members of', 'with your school account', 'with your work or school account', 'users in this organisation', 'users in this organization', 'outside of its organisation', 'outside of its organization'],
  signIn: ['sign in to continue', 'log in to continue', 'please sign in', 'please log in', 'you must be signed in', 'you must be logged in', 'you need to sign in', 'you need to log in', 'sign in to view', 'log in to view', 'sign in to see', 'log in to see', 'sign in to watch', 'sign in required', 'login required'],
  signInTitle: ['sign in', 'log in', 'login', 'sign-in', 'log-in', 'signin', 'who are you'],
  signInSurely: ['sign in', 'log in', 'login', 'sign-in', 'log-in', 'signin'],
  closed: ['no longer accepting responses', 'no longer accepting answers', 'no longer accepts responses', 'form is closed', 'survey is closed', 'survey has ended', 'quiz has ended', 'takes no more answers', 'not accepting responses', 'form has been closed', 'registration is closed', 'this poll is closed'],
  expired: ['link has expired', 'link is expired', 'has expired', 'link is no longer valid'],
  notYet: ['not open yet', 'not yet open', 'has not started yet', "hasn't started yet", 'opens on ', 'available from ', 'will be available on', 'not yet available'],
  overLimit: ['maximum number of responses', 'maximum number of answers', 'response limit', 'download limit', 'limit has been reached', 'reached its limit', 'has been viewed too often', 'no places left', 'is full now'],
  missing: ['page not found', 'not found', 'no longer exists', 'does not exist', "doesn't exist", 'has been deleted', 'has been removed', 'was deleted', 'was removed', 'video unavailable', 'no longer available', "isn't available anymore", 'nothing here', "can't be found", 'could not be found', "couldn't find", '404 error', 'error 404'],
  consent: ['before you continue', 'your privacy choices', 'your privacy matters', 'we value your privacy', 'we need your consent', 'cookie consent', 'your cookies'],
  age: ['how old are you', 'confirm your age', 'verify your age', 'are you at least', 'are you over', 'age check', 'age verification', 'age-restricted', 'date of birth to continue'],
  robots: ['you are human', "you're human", 'are you a robot', 'not a robot', "aren't a robot", 'are not a robot', 'checking your browser', 'unusual traffic', 'enable javascript and cookies to continue', 'security check to access', 'are you human'],
  keepButton: ['save', 'keep the change', 'keep changes', 'save changes', 'update page'],
  commentButton: ['comment', 'reply'],
  downloadButton: ['download'],
  answerOnce: ['one answer each', 'only answer once', 'answer only once', 'only one response', 'can only respond once', 'one answer from each'],
};
