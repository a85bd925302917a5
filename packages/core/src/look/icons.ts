/**
 * The icons that a code may have in its middle: those of the icon set that suit a school, under names of our own where its
 * own say little. A part of its own (`@hapset/core/icons`), so that only what draws or offers icons loads them.
 */
import {
  Anchor, Apple, Atom, Backpack, Bike, Bird, Book, BookOpen, Bug, Bus, Cake, Calculator, Calendar, Camera, Cat, Check, Clock, Cloud, CloudRain, Compass, Cookie, Croissant, Crown, Dices, Dog, Drum, Eye, Feather, Film, Fish, FlaskConical,
  Flower2, Footprints, Globe, GraduationCap, Guitar, Hand, Headphones, Heart, Key, Leaf, Library, Lightbulb, Magnet, Map as MapSheet, MapPin, Medal, Mic, Microscope, Moon, Mountain, Palette, PawPrint, Pencil, Piano, Puzzle, Rabbit, Rocket, Ruler,
  Sailboat, School, Shapes, Shell, Ship, Snail, Snowflake, Soup, Sprout, Squirrel, Star, Sun, TreePine, Trophy, Turtle, Umbrella, Video, Volleyball, Wheat, Zap,
} from 'lucide';
import type { IconNode } from './icon-strokes.js';

const icons: Readonly<Record<string, readonly IconNode[]>> = {
  anchor: Anchor, apple: Apple, atom: Atom, backpack: Backpack, ball: Volleyball, bike: Bike, bird: Bird, book: Book, bug: Bug, bus: Bus, cake: Cake, calculator: Calculator, calendar: Calendar, camera: Camera, cap: GraduationCap, cat: Cat,
  clock: Clock, cloud: Cloud, compass: Compass, cookie: Cookie, croissant: Croissant, crown: Crown, dice: Dices, dog: Dog, drum: Drum, 'ear-of-wheat': Wheat, eye: Eye, feather: Feather, film: Film, fish: Fish, flash: Zap, flask: FlaskConical, flower: Flower2,
  footprints: Footprints, globe: Globe, guitar: Guitar, hand: Hand, headphones: Headphones, heart: Heart, key: Key, lamp: Lightbulb, leaf: Leaf, magnet: Magnet, map: MapSheet, medal: Medal, microphone: Mic, microscope: Microscope, moon: Moon, mountain: Mountain,
  'open-book': BookOpen, palette: Palette, paw: PawPrint, pencil: Pencil, piano: Piano, pine: TreePine, pin: MapPin, puzzle: Puzzle, rabbit: Rabbit, rain: CloudRain, rocket: Rocket, ruler: Ruler, sail: Sailboat, school: School, shapes: Shapes, shell: Shell, shelf: Library,
  ship: Ship, snail: Snail, snow: Snowflake, soup: Soup, sprout: Sprout, squirrel: Squirrel, star: Star, sun: Sun, tick: Check, trophy: Trophy, turtle: Turtle, umbrella: Umbrella, video: Video,
};

/** In the order of the alphabet. */
export const iconNames: readonly string[] = Object.keys(icons);

/** Null for a name that is not among them. */
export function iconOf(name: string): readonly IconNode[] | null {
  return Object.hasOwn(icons, name) ? (icons[name] ?? null) : null;
}
