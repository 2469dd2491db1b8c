/** Marks on paper, mm from the upper left corner; whoever prints them needs to know no more. */
export type Mark =
  | {
      kind: 'text';
      x: number;
      y: number;
      text: string;
      size: number;
      bold?: boolean;
      align?: 'left' | 'right' | 'centre';
      width?: number;
    }
  | {
      kind: 'line';
      points: readonly (readonly [number, number])[];
      weight: number;
      dash?: number;
      close?: boolean;
      fill?: string;
    };

export interface Page {
  width: number;
  height: number;
  marks: readonly Mark[];
}

export const PAPERS = { a4: { width: 210, height: 297 }, letter: { width: 215.9, height: 279.4 } } as const;
export type Paper = keyof typeof PAPERS;

/** A drawing that is set on a page whole: marks in mm from its upper left corner. */
export interface PaperDrawing {
  width: number;
  height: number;
  marks: readonly Mark[];
}
