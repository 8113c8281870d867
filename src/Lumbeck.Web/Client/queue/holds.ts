// What a field holds is its maker's from the first key until what was typed is answered and given over. It is known
// here and not from the page, whose parts the server's answers put in place of one another.

/** A text that went into the queue: what comes of it is told here. */
export type Given = { done(): void; failed(): boolean };

type Hold = {
  /** How often a key changed what the field holds, and how many of these changes went into the queue. */
  typed: number; given: number;
  /** Up to which change an answer may set the field otherwise than it was typed: its maker left it, or stepped back. */
  over: number;
  /** How many texts are not answered yet, and the last of them. */
  waiting: number; text?: string;
};

export class Holds {
  private readonly holds = new Map<string, Hold>();

  private of(field: string): Hold {
    let hold = this.holds.get(field);
    if (!hold) this.holds.set(field, hold = { typed: 0, given: 0, over: 0, waiting: 0 });
    return hold;
  }

  private settle(field: string, hold: Hold): void {
    if (hold.waiting === 0 && hold.over === hold.typed) this.holds.delete(field);
  }

  /** A key changed what the field holds. */
  touched(field: string): void { this.of(field).typed++; }

  /** The field's text goes into the queue. */
  give(field: string, text: string): Given {
    const hold = this.of(field);
    const at = hold.given = hold.typed;
    hold.text = text;
    hold.waiting++;
    const back = () => { hold.waiting--; this.settle(field, hold); };
    return {
      done: back,
      // Whether the field still holds the text that could not be taken: then it is given over.
      failed: () => {
        const same = hold.typed === at;
        if (same) { hold.over = hold.typed; delete hold.text; }
        back();
        return same;
      },
    };
  }

  /** The field is left, or a step is taken in it: the next answer sets it as it is saved, unless keys come before. */
  over(field: string): void {
    const hold = this.holds.get(field);
    if (!hold) return;
    hold.over = hold.given = hold.typed;
    this.settle(field, hold);
  }

  /** Whether an answer must leave the field as it is. */
  mine(field: string): boolean {
    const hold = this.holds.get(field);
    return hold !== undefined && (hold.waiting > 0 || hold.over < hold.typed);
  }

  /** Whether something was typed that did not go into the queue yet. */
  unsent(field: string): boolean {
    const hold = this.holds.get(field);
    return hold !== undefined && hold.given < hold.typed;
  }

  /** Whether all that was typed was answered. */
  answered(field: string): boolean {
    const hold = this.holds.get(field);
    return hold === undefined || (hold.waiting === 0 && hold.given === hold.typed);
  }

  /** The text that the server was last asked to keep; undefined where the page knows what is saved. */
  last(field: string): string | undefined { return this.holds.get(field)?.text; }
}

export const holds = new Holds();

/** By what a field is known across answers, which may put another element in its place. */
export const keyOf = (field: HTMLElement): string => field.id || field.dataset.fact || field.dataset.toggle || '';
