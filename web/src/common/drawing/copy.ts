/** A drawing as a file of its own: the page's colours and type written into it. */

/** What an element passes on to those inside it. */
const INHERITED = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-linecap",
  "stroke-linejoin",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "paint-order",
];

export function asFile(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  const copies = [copy, ...copy.querySelectorAll<SVGElement>("*")];
  for (const [i, element] of [drawing, ...drawing.querySelectorAll("*")].entries()) {
    const style = getComputedStyle(element);
    const around = element === drawing ? null : getComputedStyle(element.parentElement as Element);
    const target = copies[i] as SVGElement;
    target.removeAttribute("class");
    for (const name of INHERITED) {
      target.removeAttribute(name);
      const value = style.getPropertyValue(name);
      if (value !== around?.getPropertyValue(name)) target.setAttribute(name, value);
    }
    if (style.opacity !== "1") target.setAttribute("opacity", style.opacity);
  }
  return new XMLSerializer().serializeToString(copy);
}
