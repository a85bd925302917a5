import type { LanguageMarks } from './language-marks.js';

export const english: LanguageMarks = {
  askForAccess: ['request access', 'ask for access', 'you need access', 'you need permission', 'access denied', "don't have permission", 'do not have permission', "don't have access", 'do not have access', 'not shared with you', 'ask the owner for'],
  isPrivate: ['private video', 'video is private', 'private album', 'this page is private', 'this file is private', 'content is private', 'access is restricted'],
  organisation: ['members of the organisation', 'members of the organization', 'members of your organisation', 'people in your organisation', 'people in your organization', 'within the organisation', 'within the organization', 'only available to members of', 'only to members of', 'with your school account', 'with your work or school account', 'users in this organisation', 'users in this organization', 'outside of its organisation', 'outside of its organization'],
  signIn: ['sign in to continue', 'log in to continue', 'please sign in', 'please log in', 'you must be signed in', 'you must be logged in', 'you need to sign in', 'you need to log in', 'sign in to view', 'log in to view', 'sign in to see', 'log in to see', 'sign in to watch', 'sign in required', 'login required'],
  signInTitle: ['sign in', 'log in', 'login', 'sign-in', 'log-in', 'signin', 'who are you'],
  signInSurely: ['sign in', 'log in', 'login', 'sign-in', 'log-in', 'signin'],
  closed: ['no longer accepting responses', 'no longer accepting answers', 'no longer accepts responses', 'form is closed', 'survey is closed', 'survey has ended', 'quiz has ended', 'takes no more answers', 'not accepting responses', 'form has been closed', 'registration is closed', 'this poll is closed'],
  expired: ['link has expired', 'link is expired', 'share has expired', 'invitation has expired', 'link is no longer valid'],
  notYet: ['not open yet', 'not yet open', 'has not started yet', "hasn't started yet", 'form opens on', 'quiz opens on', 'survey opens on', 'will open on', 'not yet available', 'is not available yet'],
  overLimit: ['maximum number of responses', 'maximum number of answers', 'response limit', 'download limit', 'has been viewed too often', 'reached its limit of'],
  missing: ['page not found', 'file not found', 'video not found', 'this page does not exist', "this page doesn't exist", 'page no longer exists', 'no longer exists', 'page has been removed', 'page was removed', 'page has been deleted', 'video has been removed', 'video has been deleted', 'file has been deleted', 'file has been removed', 'video unavailable', 'no longer available', "couldn't find that page", "couldn't find the page", "can't find the page", "can't find that page", "page can't be found", 'page could not be found', 'item could not be found', 'page you are looking for', "page you're looking for", 'page you requested', 'item you asked for', '404 error', 'error 404'],
  missingLoosely: ['not found', 'nothing here', 'does not exist', "doesn't exist", 'has been deleted', 'has been removed', 'could not be found'],
  consent: ['before you continue', 'your privacy choices', 'your privacy matters', 'your privacy', 'we value your privacy', 'we need your consent', 'cookie consent', 'your cookies', 'about cookies'],
  consentButton: ['accept', 'agree', 'consent', 'reject all', 'allow all', 'got it'],
  age: ['how old are you', 'confirm your age', 'verify your age', 'are you at least', 'are you over', 'age check', 'age verification', 'age-restricted', 'date of birth to continue'],
  robots: ['you are human', "you're human", 'are you a robot', 'not a robot', "aren't a robot", 'are not a robot', 'checking your browser', 'unusual traffic', 'enable javascript and cookies to continue', 'security check to access', 'are you human'],
  keepButton: ['save', 'keep the change', 'keep changes', 'save changes', 'update page'],
  commentButton: ['comment', 'reply'],
  downloadButton: ['download'],
  answerOnce: ['one answer each', 'only answer once', 'answer only once', 'only one response', 'can only respond once', 'one answer from each'],
};
