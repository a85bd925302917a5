import type { LanguageMarks } from './language-marks.js';

export const german: LanguageMarks = {
  askForAccess: ['zugriff anfordern', 'zugriff anfragen', 'zugang anfordern', 'freigabe anfordern', 'sie benötigen zugriff', 'du benötigst zugriff', 'sie brauchen zugriff', 'du brauchst zugriff', 'keine berechtigung', 'zugriff verweigert', 'zugriff erforderlich', 'bitten sie den eigentümer', 'nicht für sie freigegeben', 'nicht für dich freigegeben'],
  isPrivate: ['privates video', 'video ist privat', 'diese seite ist privat', 'ist privat und', 'nicht öffentlich zugänglich'],
  organisation: ['nur für mitglieder der organisation', 'nur mitglieder der organisation', 'innerhalb der organisation', 'innerhalb ihrer organisation', 'nur für angehörige', 'mit ihrem schulkonto', 'mit deinem schulkonto', 'mit dem schulkonto', 'nur für mitglieder dieser schule', 'nur für personen der schule'],
  signIn: ['bitte melden sie sich an', 'bitte melde dich an', 'melden sie sich an, um', 'melde dich an, um', 'bitte einloggen', 'bitte loggen sie sich ein', 'anmeldung erforderlich', 'sie müssen sich anmelden', 'du musst dich anmelden', 'sie müssen angemeldet sein', 'du musst angemeldet sein', 'erst nach der anmeldung'],
  signInTitle: ['anmelden', 'anmeldung', 'einloggen', 'login', 'log-in'],
  signInSurely: ['einloggen', 'login', 'log-in', 'bei ihrem konto anmelden', 'mit deinem konto', 'mit ihrem konto', 'jetzt einloggen'],
  closed: ['nimmt keine antworten mehr', 'nimmt keine antworten an', 'werden keine antworten mehr', 'formular ist geschlossen', 'formular wurde geschlossen', 'umfrage ist beendet', 'umfrage ist geschlossen', 'umfrage wurde beendet', 'anmeldung ist geschlossen', 'keine antworten mehr angenommen'],
  expired: ['link ist abgelaufen', 'freigabe ist abgelaufen', 'link ist nicht mehr gültig', 'freigabe ist nicht mehr gültig', 'gültigkeit des links'],
  notYet: ['formular ist noch nicht', 'quiz ist noch nicht', 'umfrage ist noch nicht', 'noch nicht geöffnet', 'noch nicht freigeschaltet', 'noch nicht begonnen'],
  overLimit: ['maximale anzahl', 'höchstzahl an antworten', 'höchstzahl der antworten', 'limit der downloads'],
  missing: ['seite nicht gefunden', 'datei nicht gefunden', 'gesuchte seite', 'angeforderte seite', 'seite existiert nicht', 'existiert nicht mehr', 'seite wurde gelöscht', 'seite wurde entfernt', 'datei wurde gelöscht', 'datei wurde entfernt', 'video wurde gelöscht', 'video wurde entfernt', 'inhalt wurde gelöscht', 'nicht mehr verfügbar', 'seite gibt es nicht', 'video nicht verfügbar', 'seite konnte nicht gefunden'],
  missingLoosely: ['nicht gefunden', 'existiert nicht', 'nicht vorhanden', 'wurde gelöscht', 'wurde entfernt'],
  consent: ['bevor sie fortfahren', 'bevor du fortfährst', 'bevor es weitergeht', 'wir brauchen ihre einwilligung', 'wir brauchen deine einwilligung', 'ihre zustimmung', 'deine zustimmung', 'privatsphäre-einstellungen', 'datenschutzeinstellungen', 'cookie-einstellungen', 'ihre privatsphäre', 'deine privatsphäre'],
  consentButton: ['akzeptieren', 'zustimmen', 'einverstanden', 'ablehnen', 'verstanden'],
  age: ['altersprüfung', 'alterskontrolle', 'bestätige dein alter', 'bestätigen sie ihr alter', 'wie alt bist du', 'wie alt sind sie', 'bist du mindestens', 'sind sie mindestens', 'altersbeschränkt', 'bist du schon 1'],
  robots: ['dass sie ein mensch sind', 'dass du ein mensch bist', 'kein roboter', 'ihr browser wird überprüft', 'dein browser wird überprüft', 'ungewöhnlicher datenverkehr', 'ungewöhnlichen datenverkehr', 'sicherheitsprüfung'],
  keepButton: ['speichern', 'änderung behalten', 'änderungen behalten'],
  commentButton: ['kommentieren', 'kommentar', 'antworten'],
  downloadButton: ['herunterladen', 'download'],
  answerOnce: ['nur einmal antworten', 'nur einmal teilnehmen', 'nur eine antwort', 'je eine antwort'],
};
