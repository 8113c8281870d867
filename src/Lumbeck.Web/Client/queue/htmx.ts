// htmx puts the server's parts in place; our own queue asks for them.
import htmxAny from 'htmx.org/dist/htmx.esm.js';

export const htmx = htmxAny as unknown as { swap(ctx: { text: string; target: Element; sourceElement: Element;
  swap: string }): Promise<void> };
