/** A drawing as a file of its own: the page's colours and type written into it. */

const CARRIED = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-linecap",
  "stroke-linejoin",
  "opacity",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "paint-order",
];

export function asFile(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  const [drawn, copied] = [drawing, copy].map((one) => [one, ...one.querySelectorAll("*")]);
  for (const [i, element] of (drawn ?? []).entries()) {
    const style = getComputedStyle(element);
    const target = copied?.[i] as SVGElement;
    target.removeAttribute("class");
    for (const name of CARRIED) target.setAttribute(name, style.getPropertyValue(name));
  }
  return new XMLSerializer().serializeToString(copy);
}
