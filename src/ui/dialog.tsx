'use client';

import type { DialogProps } from './dialog-frame';
import { later } from './later';

/** A dialog over the page; whatever opened it has the focus again when it closes. */
export const Dialog = later<DialogProps>(() => import('./dialog-frame'));
