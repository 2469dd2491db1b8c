'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { type Place, type Problem, read, type Shop, ShopSchema } from '@/core';
import { Button } from '@/ui/button';
import { Choice, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useUnits } from '@/ui/units';
import { Cutters } from './cutters';
import { OwnWoods } from './own-woods';
import { Places } from './places';

type StoredPlace = Place & { revision: number };

export function ShopPage({
  shop: stored,
  revision: storedRevision,
  places,
}: {
  shop: Shop;
  revision: number;
  places: readonly StoredPlace[];
}) {
  const router = useRouter();
  const { setSystem } = useUnits();
  const [shop, setShop] = useState(stored);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [state, setState] = useState<'saved' | 'saving …' | 'not saved'>('saved');
  const [theirs, setTheirs] = useState<{ shop: Shop; revision: number } | null>(null);
  const revision = useRef(storedRevision);
  const queue = useRef(Promise.resolve());
  const latest = useRef(stored);

  const save = (next: Shop) => {
    const sound = read(ShopSchema, next, 'the shop');
    if ('problems' in sound) return sound.problems;
    setShop(sound.value);
    latest.current = sound.value;
    setState('saving …');
    queue.current = queue.current.then(async () => {
      const reply = await request<{ revision: number }>('PUT', '/api/shop', {
        revision: revision.current,
        shop: sound.value,
      });
      if (reply.ok) {
        revision.current = reply.value.revision;
        setProblems([]);
        if (latest.current === sound.value) setState('saved');
      } else {
        setState('not saved');
        setProblems(reply.problems);
        const current = reply.current as { settings: Shop; revision: number } | undefined;
        if (reply.status === 409 && current) setTheirs({ shop: current.settings, revision: current.revision });
      }
    });
    return undefined;
  };
  const tools = (part: Partial<Shop['tools']>) =>
    save({ ...latest.current, tools: { ...latest.current.tools, ...part } });
  const allow = (part: Partial<Shop['allowances']>) =>
    save({ ...latest.current, allowances: { ...latest.current.allowances, ...part } });
  const { allowances: a, tools: t } = shop;
  const room = (part: Partial<Shop['space']>) =>
    save({ ...latest.current, space: { ...latest.current.space, ...part } });
  return (
    <>
      <h1 className="text-[19px]">
        Shop{' '}
        <span role="status" className="ml-2 font-normal text-[13px] text-ink-2">
          {state}
        </span>
      </h1>
      <ProblemList problems={problems} />
      {theirs ? (
        <p className="mb-3 flex gap-3">
          <Button
            onClick={() => {
              revision.current = theirs.revision;
              setTheirs(null);
              save(latest.current);
            }}
          >
            Keep my version
          </Button>
          <Button
            onClick={() => {
              revision.current = theirs.revision;
              latest.current = theirs.shop;
              setShop(theirs.shop);
              setTheirs(null);
              setProblems([]);
              setState('saved');
              router.refresh();
            }}
          >
            Take the other version
          </Button>
        </p>
      ) : null}
      <div className="mt-3 grid max-w-6xl grid-cols-3 gap-x-10 max-lg:grid-cols-2 max-md:grid-cols-1">
        <section>
          <h2 className="mb-2 border-ink border-b pb-1 text-[14px]">The workshop</h2>
          <TextField label="Name" value={shop.name} onCommit={(name) => save({ ...latest.current, name })} required />
          <Choice
            label="Lengths in"
            value={shop.units}
            onCommit={(units) => {
              save({ ...latest.current, units });
              setSystem(units);
            }}
            options={[
              { value: 'metric', label: 'Millimetres' },
              { value: 'inch', label: 'Inches' },
            ]}
          />
          <Select
            label="Smallest fraction"
            value={String(shop.fraction)}
            onCommit={(f) => {
              save({ ...latest.current, fraction: Number(f) as Shop['fraction'] });
              void queue.current.then(() => router.refresh());
            }}
            options={['8', '16', '32', '64'].map((f) => ({ value: f, label: `1/${f} in` }))}
          />
          <BoardChoice />
          <h2 className="mt-6 mb-2 border-ink border-b pb-1 text-[14px]">Offcuts worth keeping</h2>
          <LengthField
            label="At least, long"
            mm={shop.usefulOffcut.length}
            least={50}
            most={5000}
            onCommit={(length) => save({ ...latest.current, usefulOffcut: { ...latest.current.usefulOffcut, length } })}
          />
          <LengthField
            label="At least, wide"
            mm={shop.usefulOffcut.width}
            least={20}
            most={1000}
            onCommit={(width) => save({ ...latest.current, usefulOffcut: { ...latest.current.usefulOffcut, width } })}
          />
        </section>
        <section>
          <h2 className="mb-2 border-ink border-b pb-1 text-[14px]">What the tools take</h2>
          <LengthField
            label="Jointer, wide"
            mm={t.jointerWidth}
            least={50}
            most={1500}
            onCommit={(jointerWidth) => tools({ jointerWidth })}
          />
          <LengthField
            label="Jointer, makes straight"
            mm={t.jointerLength}
            most={6000}
            onCommit={(jointerLength) => tools({ jointerLength })}
          />
          <LengthField
            label="Planer, wide"
            mm={t.planerWidth}
            least={50}
            most={2500}
            onCommit={(planerWidth) => tools({ planerWidth })}
          />
          <LengthField
            label="Planer, shortest piece"
            mm={t.planerShortest}
            most={2000}
            onCommit={(planerShortest) => tools({ planerShortest })}
          />
          <LengthField
            label="One planing pass takes"
            mm={t.passDepth}
            least={0.1}
            most={5}
            onCommit={(passDepth) => tools({ passDepth })}
          />
          <LengthField
            label="Saw, deep"
            mm={t.sawDepth}
            least={10}
            most={500}
            onCommit={(sawDepth) => tools({ sawDepth })}
          />
          <LengthField
            label="Saw, deep at 45°"
            mm={t.sawDepth45}
            least={5}
            most={500}
            onCommit={(sawDepth45) => tools({ sawDepth45 })}
          />
          <LengthField
            label="Saw, crosscuts"
            mm={t.crosscut}
            most={3000}
            onCommit={(crosscut) => tools({ crosscut })}
          />
          <LengthField label="Saw kerf" mm={t.kerf} least={0.5} most={10} onCommit={(kerf) => tools({ kerf })} />
          <LengthField
            label="Band saw, high"
            mm={t.resawHeight}
            most={1000}
            onCommit={(resawHeight) => tools({ resawHeight })}
            hint="How wide a board it resaws; 0 where there is none."
          />
          <LengthField
            label="Band saw kerf"
            mm={t.resawKerf}
            least={0.3}
            most={6}
            onCommit={(resawKerf) => tools({ resawKerf })}
          />
          <NumberField
            label="One person lifts"
            unit="kg"
            value={t.lift}
            least={5}
            most={100}
            onCommit={(lift) => tools({ lift })}
          />
          <LengthField
            label="Bench, long"
            mm={shop.space.bench.length}
            least={300}
            most={6000}
            onCommit={(length) => room({ bench: { ...latest.current.space.bench, length } })}
          />
          <LengthField
            label="Bench, wide"
            mm={shop.space.bench.width}
            least={200}
            most={3000}
            onCommit={(width) => room({ bench: { ...latest.current.space.bench, width } })}
          />
          <NumberField
            label="Glue-ups that can lie at one time"
            value={shop.space.drying}
            least={1}
            most={50}
            onCommit={(drying) => room({ drying })}
          />
        </section>
        <section>
          <h2 className="mb-2 border-ink border-b pb-1 text-[14px]">Allowances</h2>
          <LengthField
            label="End trim, each end"
            mm={a.endTrim}
            most={300}
            onCommit={(endTrim) => allow({ endTrim })}
          />
          <LengthField
            label="Parts, over-long"
            mm={a.partLength}
            most={200}
            onCommit={(partLength) => allow({ partLength })}
          />
          <LengthField
            label="Parts, over-wide"
            mm={a.partWidth}
            most={50}
            onCommit={(partWidth) => allow({ partWidth })}
          />
          <LengthField
            label="Panels, over-long"
            mm={a.panelLength}
            most={300}
            onCommit={(panelLength) => allow({ panelLength })}
          />
          <LengthField
            label="Panels, over-wide"
            mm={a.panelWidth}
            most={100}
            onCommit={(panelWidth) => allow({ panelWidth })}
          />
          <LengthField
            label="Jointing a strip, both edges"
            mm={a.stripJointing}
            most={30}
            onCommit={(stripJointing) => allow({ stripJointing })}
          />
          <LengthField
            label="Flattening a rough board"
            mm={a.flattening}
            most={20}
            onCommit={(flattening) => allow({ flattening })}
            hint="Boards bought in quarters give the trade’s surfaced thickness, or less."
          />
          <LengthField
            label="Skimming a dressed board"
            mm={a.skim}
            most={20}
            onCommit={(skim) => allow({ skim })}
            hint="0: used as it is bought. Where a part takes its whole width the edges stay as well."
          />
          <LengthField
            label="Each resawn piece, over-thick"
            mm={a.resaw}
            most={20}
            onCommit={(resaw) => allow({ resaw })}
            hint="For the cup it takes and for cleaning it."
          />
          <h2 className="mt-6 mb-2 border-ink border-b pb-1 text-[14px]">What things count for</h2>
          <TextField
            label="Money is written"
            value={shop.prices.currency}
            onCommit={(currency) => save({ ...latest.current, prices: { ...latest.current.prices, currency } })}
          />
          <NumberField
            label="Wood without a price, per m³"
            value={shop.prices.wood}
            least={0}
            most={1_000_000}
            onCommit={(wood) => save({ ...latest.current, prices: { ...latest.current.prices, wood } })}
          />
          <NumberField
            label="An hour of work"
            value={shop.prices.hour}
            least={0}
            most={10_000}
            onCommit={(hour) => save({ ...latest.current, prices: { ...latest.current.prices, hour } })}
          />
        </section>
      </div>
      <Cutters tools={t} onTools={tools} />
      <OwnWoods
        woods={shop.species}
        onWoods={(species) => {
          const refused = save({ ...latest.current, species });
          // The woods of every list come from the server's page.
          if (!refused) void queue.current.then(() => router.refresh());
          return refused;
        }}
      />
      <Places places={places} />
    </>
  );
}

/** Light, dark, or the high contrast and large targets of the bench; kept for this browser. */
function BoardChoice() {
  const [board, setBoard] = useState<'light' | 'dark' | 'bench'>('light');
  // Only the browser knows it: the server renders the usual one.
  useEffect(() => setBoard((document.documentElement.dataset.board as 'dark' | 'bench') ?? 'light'), []);
  const choose = (next: typeof board) => {
    setBoard(next);
    if (next === 'light') delete document.documentElement.dataset.board;
    else document.documentElement.dataset.board = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
    document.cookie = `taller-board=${next}; path=/; max-age=31536000; samesite=lax`;
  };
  return (
    <Choice
      label="The board on this screen"
      value={board}
      onCommit={choose}
      options={[
        { value: 'light', label: 'Light' },
        { value: 'dark', label: 'Dark' },
        { value: 'bench', label: 'Bench', reason: 'High contrast, targets for gloved hands.' },
      ]}
    />
  );
}
