import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Look = 'plain' | 'chief' | 'quiet';

const LOOKS: Record<Look, string> = {
  plain: 'border border-ink-2 bg-paper px-3 py-1 rounded-sm hover:bg-layout-tint',
  chief: 'border border-layout bg-layout text-paper px-3 py-1 rounded-sm hover:bg-ink hover:border-ink',
  quiet: 'text-layout font-semibold hover:underline',
};

/** Of a link, or of a label, that looks like a button. */
export const buttonLook = (look: Look = 'plain') =>
  clsx('target inline-flex items-center justify-center print:hidden', LOOKS[look]);

export function Button({
  look = 'plain',
  className,
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type={type} className={clsx('inline-block print:hidden', LOOKS[look], className)} {...rest} />;
}
