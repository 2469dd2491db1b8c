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

const MARGIN = 15;

/** Writes down a page from the top, starting another when it is full; each carries the same heading. */
export class PageWriter {
  readonly pages: { width: number; height: number; marks: Mark[] }[] = [];
  readonly left = MARGIN;
  y = 0;

  constructor(
    private readonly paper: { width: number; height: number },
    private readonly heading: string,
  ) {
    this.next();
  }

  get right(): number {
    return this.paper.width - MARGIN;
  }

  get width(): number {
    return this.right - this.left;
  }

  /** Makes sure `height` mm are left, on a new page if need be. */
  room(height: number): void {
    if (this.y + height > this.paper.height - MARGIN) this.next();
  }

  next(): void {
    this.pages.push({ ...this.paper, marks: [] });
    this.y = MARGIN;
    this.text(this.heading, { size: 8 });
    this.text(`${this.pages.length}`, { size: 8, x: this.right, align: 'right' });
    this.y += 6;
    this.rule();
    this.y += 7;
  }

  text(
    text: string,
    at: { size: number; x?: number; bold?: boolean; align?: 'left' | 'right' | 'centre'; width?: number },
  ): void {
    this.mark({ kind: 'text', text, x: at.x ?? this.left, y: this.y, ...at });
  }

  title(text: string): void {
    this.room(20);
    this.text(text, { size: 13, bold: true });
    this.y += 8;
  }

  rule(weight = 0.2): void {
    this.mark({
      kind: 'line',
      points: [
        [this.left, this.y],
        [this.right, this.y],
      ],
      weight,
    });
  }

  mark(mark: Mark): void {
    this.pages.at(-1)?.marks.push(mark);
  }

  /** A table with its heading repeated on every page; column widths in parts of the page's width. */
  table(
    columns: readonly { title: string; share: number; right?: boolean }[],
    rows: readonly (readonly string[])[],
  ): void {
    const total = columns.reduce((sum, column) => sum + column.share, 0);
    const heading = () => {
      this.row(
        columns,
        columns.map((column) => column.title),
        total,
        true,
      );
      this.rule();
      this.y += 1.5;
    };
    this.room(20);
    heading();
    for (const row of rows) {
      const pages = this.pages.length;
      this.room(6);
      if (this.pages.length > pages) heading();
      this.row(columns, row, total, false);
    }
    this.y += 4;
  }

  private row(
    columns: readonly { share: number; right?: boolean }[],
    cells: readonly string[],
    total: number,
    bold: boolean,
  ): void {
    let x = this.left;
    columns.forEach((column, i) => {
      const width = (column.share / total) * this.width;
      const text = cells[i] ?? '';
      this.text(
        text,
        column.right
          ? { size: 8.5, bold, x: x + width - 2, align: 'right', width: width - 2 }
          : { size: 8.5, bold, x, width: width - 2 },
      );
      x += width;
    });
    this.y += 5.4;
  }
}
