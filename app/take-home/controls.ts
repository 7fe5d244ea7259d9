/** An element with its class and text. */
export function element<Name extends keyof HTMLElementTagNameMap>(
  name: Name,
  className: string,
  text = '',
): HTMLElementTagNameMap[Name] {
  const made = document.createElement(name);
  made.className = className;
  made.textContent = text;
  return made;
}

/** A button that does something. */
export function button(text: string, press: () => void): HTMLButtonElement {
  const made = element('button', '', text);
  made.type = 'button';
  made.addEventListener('click', press);
  return made;
}

/** A choice among a few. */
export function choice<Value extends string>(
  label: string,
  values: readonly (readonly [Value, string])[],
  put: (value: Value) => void,
): HTMLLabelElement {
  const made = element('label', 'choice', label);
  const select = element('select', '');
  for (const [value, name] of values) {
    const option = element('option', '', name);
    option.value = value;
    select.append(option);
  }
  select.addEventListener('change', () => {
    const chosen = values.find(([value]) => value === select.value);
    if (chosen) put(chosen[0]);
  });
  made.append(select);
  return made;
}
