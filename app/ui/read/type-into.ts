/** Types into a field of a form, as a person would, so that whatever follows the field follows. */
export function typeInto(form: HTMLFormElement, name: string, value: string): void {
  const box = form.elements.namedItem(name);
  if (box instanceof HTMLSelectElement) box.value = value;
  else if (box instanceof HTMLInputElement) {
    // React takes no notice of a value that is set by its own property.
    const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value") ?? {};
    set?.call(box, value);
  } else return;
  for (const event of ["input", "change"]) box.dispatchEvent(new Event(event, { bubbles: true }));
}
