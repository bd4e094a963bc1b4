type Child = Node | string | null | false;
type Properties<Tag extends keyof HTMLElementTagNameMap> = Partial<
  Omit<HTMLElementTagNameMap[Tag], 'style' | 'role'>
> & {
  role?: string;
  onClick?: () => void;
};

/** Makes an element with properties and what is in it. Texts are texts: nothing in them is read as HTML. */
export function make<Tag extends keyof HTMLElementTagNameMap>(
  tag: Tag,
  { onClick, ...properties }: Properties<Tag> = {},
  ...children: readonly Child[]
): HTMLElementTagNameMap[Tag] {
  const element = Object.assign(document.createElement(tag), properties) as HTMLElementTagNameMap[Tag];
  if (onClick) element.addEventListener('click', onClick);
  element.append(...children.filter((child) => child !== null && child !== false));
  return element;
}

const STOPS = 'input, select, textarea, button, summary';

/** Draws the page anew. What had the focus has it again, if as many things before it are still there. */
export function redraw(...content: readonly Node[]): void {
  const stops = () => [...document.querySelectorAll<HTMLElement>(STOPS)];
  const at = stops().indexOf(document.activeElement as HTMLElement);
  document.body.replaceChildren(...content);
  if (at >= 0) stops()[at]?.focus();
}
