'use client';

import type { Problem, Shop } from '@/core';
import { Button } from '@/ui/button';
import { LengthField, NumberField } from '@/ui/fields';

type Tools = Shop['tools'];

/** What the shop has many of: clamps, mortising widths, router cutters, bits, loose tenons, dowels. */
export function Cutters({
  tools,
  onTools,
}: {
  tools: Tools;
  onTools: (part: Partial<Tools>) => readonly Problem[] | undefined;
}) {
  const { clamps, mortises, cutters, looseTenons, borers, dowels } = tools;
  return (
    <div className="mt-6 grid max-w-6xl grid-cols-4 gap-x-10 max-lg:grid-cols-2 max-md:grid-cols-1">
      <List
        title="Clamps"
        rows={clamps}
        fresh={{ length: 1000, count: 2, force: 5000 }}
        onRows={(rows) => onTools({ clamps: rows })}
        fields={(row, set, i) => (
          <>
            <LengthField
              label={`Clamps ${i + 1}, opening`}
              mm={row.length}
              least={100}
              most={6000}
              onCommit={(length) => set({ length })}
            />
            <NumberField label="How many" value={row.count} least={1} most={200} onCommit={(count) => set({ count })} />
            <NumberField
              label="Press with"
              unit="N"
              value={row.force}
              least={100}
              most={60000}
              onCommit={(force) => set({ force })}
            />
          </>
        )}
      />
      <section>
        <List
          title="Mortises, by chisel"
          rows={mortises.widths.map((width) => ({ width }))}
          fresh={{ width: 10 }}
          onRows={(rows) => onTools({ mortises: { ...mortises, widths: rows.map((row) => row.width) } })}
          fields={(row, set, i) => (
            <LengthField
              label={`Chisel ${i + 1}, wide`}
              mm={row.width}
              least={2}
              most={50}
              onCommit={(width) => set({ width })}
            />
          )}
        />
        <div className="mt-4">
          <LengthField
            label="They reach"
            mm={mortises.depth}
            most={300}
            onCommit={(depth) => onTools({ mortises: { ...mortises, depth } })}
          />
        </div>
      </section>
      <List
        title="Straight router cutters"
        rows={cutters}
        fresh={{ diameter: 10, reach: 30 }}
        onRows={(rows) => onTools({ cutters: rows })}
        fields={(row, set, i) => (
          <>
            <LengthField
              label={`Cutter ${i + 1}, wide`}
              mm={row.diameter}
              least={1}
              most={60}
              onCommit={(diameter) => set({ diameter })}
            />
            <LengthField label="Reaches" mm={row.reach} least={1} most={150} onCommit={(reach) => set({ reach })} />
          </>
        )}
      />
      <List
        title="Loose tenons in stock"
        rows={looseTenons}
        fresh={{ thickness: 8, width: 22, length: 50 }}
        onRows={(rows) => onTools({ looseTenons: rows })}
        fields={(row, set, i) => (
          <>
            <LengthField
              label={`Tenon ${i + 1}, thick`}
              mm={row.thickness}
              least={2}
              most={50}
              onCommit={(thickness) => set({ thickness })}
            />
            <LengthField label="Wide" mm={row.width} least={5} most={200} onCommit={(width) => set({ width })} />
            <LengthField label="Long" mm={row.length} least={10} most={300} onCommit={(length) => set({ length })} />
          </>
        )}
      />
      <List
        title="Bits that bore clean holes"
        rows={borers.map((diameter) => ({ diameter }))}
        fresh={{ diameter: 8 }}
        onRows={(rows) => onTools({ borers: rows.map((row) => row.diameter) })}
        fields={(row, set, i) => (
          <LengthField
            label={`Bit ${i + 1}, wide`}
            mm={row.diameter}
            least={1}
            most={80}
            onCommit={(diameter) => set({ diameter })}
          />
        )}
      />
      <List
        title="Dowels in stock"
        rows={dowels}
        fresh={{ diameter: 8, length: 40 }}
        onRows={(rows) => onTools({ dowels: rows })}
        fields={(row, set, i) => (
          <>
            <LengthField
              label={`Dowel ${i + 1}, thick`}
              mm={row.diameter}
              least={3}
              most={40}
              onCommit={(diameter) => set({ diameter })}
            />
            <LengthField label="Long" mm={row.length} least={15} most={200} onCommit={(length) => set({ length })} />
          </>
        )}
      />
    </div>
  );
}

function List<Row>({
  title,
  rows,
  fresh,
  onRows,
  fields,
}: {
  title: string;
  rows: readonly Row[];
  fresh: Row;
  onRows: (rows: Row[]) => readonly Problem[] | undefined;
  fields: (row: Row, set: (part: Partial<Row>) => readonly Problem[] | undefined, index: number) => React.ReactNode;
}) {
  return (
    <fieldset>
      <legend className="mb-2 w-full border-ink border-b pb-1 font-semibold text-[14px]">{title}</legend>
      {rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a row of tools has no name
        <div key={i} className="mb-2 border-hairline border-b">
          {fields(row, (part) => onRows(rows.map((own, j) => (j === i ? { ...own, ...part } : own))), i)}
          <Button
            look="quiet"
            className="mb-1"
            aria-label={`Take away ${title.toLowerCase()} ${i + 1}`}
            onClick={() => onRows(rows.filter((_, j) => j !== i))}
          >
            Take away
          </Button>
        </div>
      ))}
      <Button aria-label={`Add to ${title.toLowerCase()}`} onClick={() => onRows([...rows, fresh])}>
        Add
      </Button>
    </fieldset>
  );
}
