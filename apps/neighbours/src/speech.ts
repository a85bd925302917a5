/** The words that strangers see, in the three languages that the services speak. Owners' pages are English. */
import type { Request } from 'express';

const languages = ['en', 'de', 'fr'] as const;
export type Language = (typeof languages)[number];

const phrases = {
  nothingOnShelf: ['Nothing on this shelf', 'Nichts in diesem Regal', 'Rien sur cette étagère'],
  movedOrNever: [
    'It was moved, or never here.',
    'Es wurde umgeräumt oder war nie hier.',
    "C'est parti ailleurs, ou n'a jamais été là.",
  ],
  askForKey: ['Ask for a key', 'Um einen Schlüssel bitten', 'Demander une clé'],
  chosenLook: [
    'Its owner lets chosen people look.',
    'Nur ausgewählte Leute dürfen hineinsehen.',
    'Seules des personnes choisies peuvent regarder.',
  ],
  haveKey: ['I have a key', 'Ich habe einen Schlüssel', "J'ai une clé"],
  notOnList: ['You are not on the list', 'Sie stehen nicht auf der Liste', "Vous n'êtes pas sur la liste"],
  ownerChose: [
    'The owner chose who may look.',
    'Wer hineinsehen darf, ist ausgewählt.',
    'Le propriétaire a choisi qui peut regarder.',
  ],
  over: ['This link is over', 'Dieser Link ist vorbei', 'Ce lien est fini'],
  overSince: ['It was meant to last until', 'Er galt bis', "Il devait durer jusqu'au"],
  noSuchLeaf: ['No such leaf', 'Kein solches Blatt', 'Pas de telle feuille'],
  noMoreAnswers: [
    'This leaf takes no more answers.',
    'Dieses Blatt nimmt keine Antworten mehr.',
    'Cette feuille ne prend plus de réponses.',
  ],
  enoughAnswers: [
    'This leaf has all the answers that it wanted.',
    'Dieses Blatt hat alle Antworten, die es wollte.',
    'Cette feuille a toutes les réponses voulues.',
  ],
  onceEach: ['One answer each.', 'Nur eine Antwort von jedem.', 'Une seule réponse chacun.'],
  handIn: ['Hand in', 'Abgeben', 'Rendre'],
  whoGoesThere: ['Who goes there?', 'Wer ist da?', 'Qui va là ?'],
  signIn: ['Sign in', 'Anmelden', 'Se connecter'],
  name: ['Name', 'Name', 'Nom'],
  key: ['Key', 'Schlüssel', 'Clé'],
  wrongKey: ['No such name with such a key.', 'Kein solcher Name mit diesem Schlüssel.', 'Aucun nom avec cette clé.'],
  ownHouse: [
    'This door is for the people of Fernhollow School.',
    'Diese Tür ist für die Leute der Fernhollow School.',
    'Cette porte est pour les gens de Fernhollow School.',
  ],
  noReel: ['This reel ran out', 'Diese Rolle ist abgelaufen', 'Cette bobine est finie'],
  keptDark: ['This reel is kept in the dark', 'Diese Rolle bleibt im Dunkeln', 'Cette bobine reste dans le noir'],
  ownerAlone: [
    'Its owner shows it to nobody for now.',
    'Sie wird zurzeit niemandem gezeigt.',
    "Son propriétaire ne la montre à personne pour l'instant.",
  ],
  howMany: [
    'How many candles were on your last cake?',
    'Wie viele Kerzen hatte dein letzter Kuchen?',
    'Combien de bougies sur ton dernier gâteau ?',
  ],
  showMe: ['Show me', 'Zeig es mir', 'Montre-moi'],
  crumbs: ['Before the film: crumbs', 'Vor dem Film: Krümel', 'Avant le film : des miettes'],
  crumbsAbout: [
    'We would like to leave crumbs on your device, so that we find you again.',
    'Wir möchten Krümel auf deinem Gerät lassen, damit wir dich wiederfinden.',
    'Nous aimerions laisser des miettes sur ton appareil.',
  ],
  crumbsYes: ['Crumbs, please', 'Gern Krümel', 'Oui aux miettes'],
  crumbsNo: ['No crumbs', 'Keine Krümel', 'Pas de miettes'],
  listen: ['Listen', 'Anhören', 'Écouter'],
  takeAlong: ['Take it along', 'Mitnehmen', 'Emporter'],
  shutTone: ['This tone is out of hearing', 'Dieser Ton ist außer Hörweite', 'Ce son est hors de portée'],
} as const satisfies Record<string, readonly [string, string, string]>;

export type Phrase = keyof typeof phrases;
export type Say = ((phrase: Phrase) => string) & { readonly language: Language };

/** Speaks the first language of Accept-Language (RFC 9110, 12.5.4) that is known; English otherwise. */
export function speak(request: Request): Say {
  const language = (request.acceptsLanguages([...languages]) || 'en') as Language;
  return Object.assign((phrase: Phrase) => phrases[phrase][languages.indexOf(language)] ?? '', { language });
}
