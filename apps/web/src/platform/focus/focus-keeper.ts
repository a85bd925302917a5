/**
 * Where the focus goes when what had it is removed, as a row is by its own menu: to the same place in the next row, or
 * else to whatever is in its place now. A browser would leave it nowhere, and who works by keyboard or screen reader
 * would begin again at the top of the page.
 */

const focusable =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])';

/** Something around what had the focus, with its neighbours as long as they were there. */
interface Place {
  readonly element: Element;
  readonly next: Element | null;
  readonly previous: Element | null;
  /** Of what had the focus, among all in the element that can have it. */
  readonly position: number;
}

export class FocusKeeper {
  private places: readonly Place[] = [];

  /** @param fallback gets the focus where nothing else does */
  constructor(
    private readonly page: Document,
    private readonly fallback: () => HTMLElement | null,
  ) {}

  /** Returns how to stop. */
  start(): () => void {
    const observer = new MutationObserver(this.check);
    observer.observe(this.page.body, { childList: true, subtree: true });
    this.page.addEventListener('focusin', this.note);
    return () => {
      observer.disconnect();
      this.page.removeEventListener('focusin', this.note);
    };
  }

  private note = ({ target }: FocusEvent): void => {
    const places: Place[] = [];
    for (let element = target as Element | null; element && element !== this.page.body; element = element.parentElement)
      places.push({
        element,
        next: element.nextElementSibling,
        previous: element.previousElementSibling,
        position: inside(element).indexOf(target as HTMLElement),
      });
    this.places = places;
  };

  private check = (): void => {
    const [first] = this.places;
    if (!first || first.element.isConnected || this.page.activeElement !== this.page.body) return;
    const places = this.places;
    this.places = [];
    const gone = places.filter(({ element }) => !element.isConnected).at(-1);
    const around = places.find(({ element }) => element.isConnected);
    const next = (gone && this.besideOf(gone)) ?? (around && this.within(around, notField)) ?? this.fallback();
    next?.focus();
  };

  private besideOf({ next, previous, position }: Place): HTMLElement | null {
    for (const neighbour of [next, previous]) {
      const found = neighbour?.isConnected === true ? this.within({ element: neighbour, position }) : null;
      if (found) return found;
    }
    return null;
  }

  private within(
    { element, position }: Pick<Place, 'element' | 'position'>,
    may: (element: HTMLElement) => boolean = () => true,
  ): HTMLElement | null {
    const there = inside(element);
    const found = there[Math.max(0, position)] ?? there.at(-1);
    return found && may(found) ? found : null;
  }
}

/** A field further off opens a phone’s keyboard, and takes keys that are meant for the page. */
function notField(element: HTMLElement): boolean {
  return !element.matches('input, textarea, select');
}

/** All of it that can have the focus, itself included. */
function inside(element: Element): readonly HTMLElement[] {
  const own = element.matches(focusable) ? [element as HTMLElement] : [];
  return [...own, ...element.querySelectorAll<HTMLElement>(focusable)];
}
