'use client';

import type { DialogProps } from './dialog-frame';
import { later } from './later';

const Frame = later<DialogProps>(() => import('./dialog-frame'));

/** A dialog over the page; whatever opened it has the focus again when it closes. */
export function Dialog(props: DialogProps) {
  return props.open ? <Frame {...props} /> : null;
}
