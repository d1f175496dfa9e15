/** How a field stands: its label above, what is wrong below. */
export const FIELD_STYLES = `
  :host { display: block; }
  label { display: block; font: 600 15px/1.4 var(--label); margin-bottom: 2px; }
  .must::after { content: ' · needed'; font-weight: 400; color: var(--quiet); }
  .problem:empty { display: none; }
`;
