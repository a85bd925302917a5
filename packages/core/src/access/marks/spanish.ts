import type { LanguageMarks } from './language-marks.js';

export const spanish: LanguageMarks = {
  askForAccess: ['solicitar acceso', 'pedir acceso', 'necesitas acceso', 'necesita acceso', 'necesitas permiso', 'necesita permiso', 'acceso denegado', 'no tienes permiso', 'no tiene permiso', 'no tienes acceso', 'no tiene acceso', 'solicita acceso'],
  isPrivate: ['vídeo privado', 'video privado', 'vídeo es privado', 'video es privado', 'página es privada', 'contenido es privado', 'contenido privado'],
  organisation: ['miembros de la organización', 'miembros de tu organización', 'miembros de su organización', 'dentro de la organización', 'solo para miembros de', 'con tu cuenta de la escuela', 'con tu cuenta escolar', 'con su cuenta escolar', 'solo para personas de la escuela', 'con la cuenta del colegio', 'con tu cuenta del colegio'],
  signIn: ['inicia sesión para ver', 'inicie sesión para ver', 'inicia sesión para continuar', 'inicie sesión para continuar', 'debes iniciar sesión', 'debe iniciar sesión', 'es necesario iniciar sesión', 'tienes que iniciar sesión', 'identifícate para', 'accede para continuar', 'inicia sesión para acceder'],
  signInTitle: ['iniciar sesión', 'inicia sesión', 'inicie sesión', 'inicio de sesión', 'acceder', 'identifícate', 'entrar'],
  signInSurely: ['iniciar sesión', 'inicia sesión', 'inicie sesión', 'inicio de sesión', 'identifícate'],
  closed: ['ya no acepta respuestas', 'no acepta más respuestas', 'ya no se aceptan respuestas', 'formulario está cerrado', 'encuesta está cerrada', 'encuesta ha terminado', 'encuesta ha finalizado', 'cuestionario está cerrado', 'inscripción está cerrada'],
  expired: ['enlace ha caducado', 'enlace ha expirado', 'enlace caducado', 'enlace ya no es válido'],
  notYet: ['aún no está abierto', 'todavía no está abierto', 'aún no está disponible', 'todavía no está disponible', 'formulario se abrirá', 'cuestionario se abrirá'],
  overLimit: ['número máximo de respuestas', 'límite de respuestas', 'límite de descargas'],
  missing: ['página no encontrada', 'archivo no encontrado', 'página que buscas', 'página que busca', 'página no existe', 'archivo no existe', 'ya no existe', 'vídeo ha sido eliminado', 'video ha sido eliminado', 'archivo ha sido eliminado', 'página ha sido eliminada', 'ya no está disponible', 'vídeo no disponible', 'video no disponible', 'no se ha encontrado la página'],
  missingLoosely: ['no encontrada', 'no encontrado', 'no se encuentra', 'ha sido eliminado', 'ha sido eliminada'],
  consent: ['antes de continuar', 'tu privacidad', 'su privacidad', 'tu consentimiento', 'su consentimiento', 'preferencias de privacidad', 'configuración de cookies'],
  consentButton: ['aceptar', 'acepto', 'rechazar', 'permitir'],
  age: ['qué edad tienes', 'cuántos años tienes', 'confirma tu edad', 'confirme su edad', 'verifica tu edad', 'verificación de edad', 'eres mayor de', 'tienes al menos', 'restringido por edad', 'restricción de edad'],
  robots: ['no eres un robot', 'no soy un robot', 'eres humano', 'es usted humano', 'comprobando tu navegador', 'comprobando su navegador', 'tráfico inusual', 'verificación de seguridad'],
  keepButton: ['guardar'],
  commentButton: ['comentar', 'comentario', 'responder a'],
  downloadButton: ['descargar'],
  answerOnce: ['solo una respuesta', 'una sola respuesta', 'responder una sola vez', 'responder una vez'],
};
