// jsdom goes through the whole sheet of a browser’s own styles whenever it is asked how something looks, which names, roles and presses ask
// of each element and all around it. Ours are not in the page at all (see `inApp.tsx`), so what an element looks like is what its kind
// looks like, and what stands on the element itself.
const byBrowser = window.getComputedStyle.bind(window);
const displays = new Map<string, string>();

function displayOf(element: Element): string {
  if ((element as HTMLElement).hidden) return 'none';
  const { tagName } = element;
  if (!displays.has(tagName)) displays.set(tagName, byBrowser(document.createElement(tagName)).display);
  return displays.get(tagName)!;
}

/** What has no word of its own: how its kind is shown, and that it can be seen. */
function byKind(element: Element, name: string): string {
  if (name === 'display') return displayOf(element);
  return name === 'visibility' ? 'visible' : '';
}

const dashed = (name: string): string => name.replace(/[A-Z]/g, (each) => `-${each.toLowerCase()}`);

window.getComputedStyle = (element) => {
  const own = (element as HTMLElement).style as CSSStyleDeclaration | undefined;
  const read = (name: string): string => own?.getPropertyValue(name) || byKind(element, name);
  return new Proxy(own ?? ({} as CSSStyleDeclaration), {
    get(_, name) {
      if (typeof name !== 'string') return undefined;
      return name === 'getPropertyValue' ? read : read(dashed(name));
    },
  });
};
