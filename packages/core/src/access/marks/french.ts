import type { LanguageMarks } from './language-marks.js';

export const french: LanguageMarks = {
  askForAccess: ["demander l'accès", "demandez l'accès", "demander une autorisation", 'accès refusé', "vous n'avez pas l'autorisation", "vous n'avez pas accès", "vous n'êtes pas autorisé", 'autorisation nécessaire', 'vous avez besoin d\'une autorisation', "n'a pas été partagé avec vous"],
  isPrivate: ['vidéo privée', 'vidéo est privée', 'page est privée', 'contenu est privé', 'accès restreint'],
  organisation: ["membres de l'organisation", "membres de votre organisation", "au sein de l'organisation", 'réservé aux membres de', 'réservée aux membres de', 'avec votre compte scolaire', "avec le compte de l'école", "avec votre compte de l'école", "réservé aux personnes de l'école", "réservée aux personnes de l'école"],
  signIn: ['connectez-vous pour', 'veuillez vous connecter', 'vous devez être connecté', 'vous devez vous connecter', 'identifiez-vous pour', 'veuillez vous identifier', 'connexion requise', 'authentification requise'],
  signInTitle: ['se connecter', 'connexion', 'connectez-vous', 'identifiez-vous', "s'identifier", 'authentification'],
  signInSurely: ['se connecter', 'connectez-vous', 'identifiez-vous', "s'identifier", 'connexion à votre compte'],
  closed: ["n'accepte plus de réponses", "n'accepte plus les réponses", 'formulaire est fermé', 'sondage est terminé', 'sondage est clos', 'enquête est terminée', 'enquête est close', 'questionnaire est fermé', 'inscriptions sont closes', 'ne prend plus de réponses'],
  expired: ['lien a expiré', 'lien est expiré', "lien n'est plus valide", 'partage a expiré'],
  notYet: ["n'est pas encore ouvert", 'pas encore disponible', "n'a pas encore commencé", 'formulaire ouvrira', 'questionnaire ouvrira'],
  overLimit: ['nombre maximal de réponses', 'nombre maximum de réponses', 'limite de téléchargements'],
  missing: ['page introuvable', 'fichier introuvable', 'vidéo introuvable', 'page demandée', 'page non trouvée', "page n'existe", "n'existe plus", 'vidéo a été supprimée', 'page a été supprimée', 'fichier a été supprimé', 'document a été supprimé', "n'est plus disponible", 'vidéo non disponible', 'vidéo indisponible'],
  missingLoosely: ['introuvable', "n'existe pas", 'a été supprimée', 'a été supprimé'],
  consent: ['avant de continuer', "avant d'accéder", 'votre vie privée', 'vos préférences de confidentialité', 'respect de votre vie privée', 'votre consentement', 'gestion des cookies'],
  consentButton: ['accepter', "j'accepte", 'refuser', 'autoriser'],
  age: ['quel âge avez-vous', 'quel âge as-tu', 'confirmez votre âge', 'confirme ton âge', 'vérification de l\'âge', 'avez-vous plus de', 'as-tu plus de', 'avez-vous au moins', 'as-tu au moins', "limite d'âge", "soumis à une limite d'âge"],
  robots: ["pas un robot", 'êtes humain', 'êtes un humain', 'vérification de votre navigateur', 'trafic inhabituel', 'vérification de sécurité'],
  keepButton: ['enregistrer', 'sauvegarder'],
  commentButton: ['commenter', 'commentaire', 'répondre à'],
  downloadButton: ['télécharger'],
  answerOnce: ['une seule réponse', "répondre qu'une fois", 'répondre une seule fois'],
};
