import type { ReactElement } from 'react';

/** A step, in which `**words**` are the words to look for on the service's page. */
export function WithBold({ step }: { readonly step: string }): ReactElement {
  return <>{step.split('**').map((part, index) => (index % 2 === 1 ? <strong key={index}>{part}</strong> : part))}</>;
}
