import { likeliestReading } from './likeliest-reading.js';
import { sampleWords } from './sample-words.js';

/** Bytes that read as that text in an encoding. */
function bytesOf(text: string, encoding: string): Uint8Array {
  const decoder = new TextDecoder(encoding);
  const table = new Map(Array.from({ length: 256 }, (_, byte) => [decoder.decode(Uint8Array.of(byte)), byte]));
  return Uint8Array.from(
    [...text].map((character) => {
      const byte = table.get(character);
      if (byte === undefined) throw new Error(`${encoding} has no ${character}`);
      return byte;
    }),
  );
}

const counted = new Set(Object.values(sampleWords).flatMap((words) => words.split(' ')));
const likeliest = (text: string, encoding: string): string => {
  // Only words from which no letters were counted prove anything.
  expect(text.split(/[;,\s-]/).filter((word) => /[^\x20-\x7e]/.test(word) && counted.has(word))).toEqual([]);
  const bytes = bytesOf(text, encoding);
  const reading = (name: string) => ({ name, text: new TextDecoder(name).decode(bytes) });
  return likeliestReading(reading('windows-1252'), [reading('windows-1250'), reading('windows-1251')]).name;
};

describe('the likeliest reading of bytes', () => {
  it.each([
    'Lefèvre;Amélie',
    'Søren;Thygesen',
    'Ñúñez;Begoña',
    'Zoë;Brüggemann',
    'Gwenaël;Prévost',
    'Kåre;Bjørnstad',
    'Bøgh;Ulrik',
    'Þuríður;Ingólfsdóttir',
    'Irmão;Falcão;Simões',
    'Peñalver;Íñiguez',
    'Françoise;Gérôme',
    'Börje;Ekström',
    'Großkopf;Jörn',
    'Benoît;Lacoëuille',
    'Müge;Özdemir',
    'Hervé',
    'Château-Thierry',
    'Cañón',
    'Æbelø',
    'Ærlig;Grønbæk',
    'Peñalver;2ºESO A;Íñiguez;3ºB',
    'Turma 7.ª B;Falcão',
  ])('in Windows-1252: %s', (text) => expect(likeliest(text, 'windows-1252')).toBe('windows-1252'));

  it.each([
    'Řezáč;Přemysl',
    'Žižka;Břetislav',
    'Ťapák;Ľubomír',
    'Gałązka;Świętosława',
    'Śliwiński;Błażej',
    'Kőrösi;Gellért;Szűts',
    'Đukić;Živana',
    'Čižmić;Anđela',
    'Ţigănuş;Mărioara',
    'Šťastný;Vít',
    'Łącka',
    'Nechvátalová;Hedvika;Bejček;Dařina',
  ])('in Windows-1250: %s', (text) => expect(likeliest(text, 'windows-1250')).toBe('windows-1250'));

  it.each(['Черкасова;Зинаида', 'Щукін;Едуард', 'Гаврилюк;Остап', 'Жуков'])('in Windows-1251: %s', (text) =>
    expect(likeliest(text, 'windows-1251')).toBe('windows-1251'),
  );

  it('of a whole class tells each name right, also where most of it is plain', () => {
    const plain = 'Ann;Lee\r\nTom;Archer\r\n'.repeat(40);
    expect(likeliest(`${plain}Lefèvre;Léo`, 'windows-1252')).toBe('windows-1252');
    expect(likeliest(`${plain}Dvořáčková;Běla`, 'windows-1250')).toBe('windows-1250');
  });

  it('is the usual one for plain text', () =>
    expect(likeliest('Ann;Lee, 6 Kestrel', 'windows-1251')).toBe('windows-1252'));
});
