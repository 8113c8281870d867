// In place of the library that puts answers in place (which the real browser's tests run): what it does to a field.
// Elements keep their place by their ids; attributes become what the answer says, and others go; words become its words.
type Swap = { text: string };

function morph(here: Element, there: Element): void {
  for (const { name } of [...here.attributes]) if (!there.hasAttribute(name)) here.removeAttribute(name);
  for (const { name, value } of [...there.attributes]) here.setAttribute(name, value);
  if (there.children.length === 0) { if (here.textContent !== there.textContent) here.textContent = there.textContent; return; }
  [...there.children].forEach((child, n) => { if (here.children[n]) morph(here.children[n]!, child); });
}

export const htmx = {
  async swap({ text }: Swap): Promise<void> {
    const holder = document.createElement('div');
    holder.innerHTML = text;
    for (const part of [...holder.children]) morph(document.getElementById(part.id)!, part);
  },
};
