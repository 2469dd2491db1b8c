'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { PlaceReply, ShopReply } from '@/contract/replies';
import { type Change, DECIMAL_MARKS, read, type Shop, ShopSchema, withChanges, withMark } from '@/core';
import { Button } from '@/ui/button';
import { Choice, Select, TextField } from '@/ui/fields';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { useRevisioned } from '@/ui/revisioned';
import { SCREEN_COOKIE, type Screen } from '@/ui/screens';
import { TwoVersions } from '@/ui/two-versions';
import { useUnits } from '@/ui/units';
import { Cutters } from './cutters';
import { OwnWoods } from './own-woods';
import { Places } from './places';
import { ALLOWANCES, OFFCUTS, PRICES, ShopFigures, TOOLS } from './shop-figures';

export function ShopPage({ stored, places }: { stored: ShopReply; places: readonly PlaceReply[] }) {
  const router = useRouter();
  const { setSystem } = useUnits();
  const [shop, setShop] = useState(stored.shop);
  const latest = useRef(stored.shop);
  const { write, theirs, settle, state, problems } = useRevisioned<Shop, ShopReply>(stored, (shop, on) =>
    request('PUT', '/api/shop', { revision: on?.revision, shop }),
  );
  const show = (next: Shop) => {
    setShop(next);
    latest.current = next;
  };
  /** What is wrong is returned at once; what other pages show is asked anew when it is kept, where they have to know. */
  const save = (next: Shop, elsewhere = false) => {
    const sound = read(ShopSchema, next, 'the shop');
    if ('problems' in sound) return sound.problems;
    show(sound.value);
    void write(sound.value).then((reply) => {
      if (reply.ok && elsewhere) router.refresh();
    });
    return undefined;
  };
  const change = (own: Change) => save(withChanges(latest.current, [own]));
  const figures = (of: Parameters<typeof ShopFigures>[0]['of']) => <ShopFigures of={of} shop={shop} change={change} />;
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
        <TwoVersions
          onMine={() => {
            settle();
            save(latest.current);
          }}
          onTheirs={() => {
            settle();
            show(theirs.shop);
            router.refresh();
          }}
        />
      ) : state === 'not saved' ? (
        <Button className="mb-3" onClick={() => save(latest.current)}>
          Save again
        </Button>
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
              save({ ...latest.current, fraction: Number(f) as Shop['fraction'] }, true);
            }}
            options={['8', '16', '32', '64'].map((f) => ({ value: f, label: `1/${f} in` }))}
          />
          <FiguresChoice />
          <ScreenChoice />
          <h2 className="mt-6 mb-2 border-ink border-b pb-1 text-[14px]">Offcuts worth keeping</h2>
          {figures(OFFCUTS)}
        </section>
        <section>
          <h2 className="mb-2 border-ink border-b pb-1 text-[14px]">What the tools take</h2>
          {figures(TOOLS)}
        </section>
        <section>
          <h2 className="mb-2 border-ink border-b pb-1 text-[14px]">Allowances</h2>
          {figures(ALLOWANCES)}
          <h2 className="mt-6 mb-2 border-ink border-b pb-1 text-[14px]">Prices</h2>
          <TextField
            label="Money is written"
            value={shop.prices.currency}
            onCommit={(currency) => change({ path: 'prices.currency', value: currency })}
          />
          {figures(PRICES)}
        </section>
      </div>
      <Cutters
        tools={shop.tools}
        onTools={(part) => save({ ...latest.current, tools: { ...latest.current.tools, ...part } })}
      />
      <OwnWoods woods={shop.species} onWoods={(species) => save({ ...latest.current, species }, true)} />
      <Places places={places} />
    </>
  );
}

/** The mark before decimals; kept for this browser. */
function FiguresChoice() {
  const { style, setDecimal } = useUnits();
  return (
    <Choice
      label="Figures"
      value={style.decimal ?? 'point'}
      onCommit={setDecimal}
      options={DECIMAL_MARKS.map((mark) => ({ value: mark, label: withMark('12.5', mark) }))}
    />
  );
}

/** Light, dark, or the high contrast and large targets of the bench; kept for this browser. */
function ScreenChoice() {
  const [screen, setScreen] = useState<Screen | 'system'>('system');
  // Only the browser knows it: the server renders the usual one.
  useEffect(() => setScreen((document.documentElement.dataset.screen as Screen | undefined) ?? 'system'), []);
  const choose = (next: typeof screen) => {
    setScreen(next);
    if (next === 'system') delete document.documentElement.dataset.screen;
    else document.documentElement.dataset.screen = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
    document.cookie = `${SCREEN_COOKIE}=${next}; path=/; max-age=31536000; samesite=lax`;
  };
  return (
    <Choice
      label="This screen"
      value={screen}
      onCommit={choose}
      options={[
        { value: 'system', label: 'As the system', reason: 'Light or dark, and high contrast, as this device is set.' },
        { value: 'light', label: 'Light' },
        { value: 'dark', label: 'Dark' },
        { value: 'bench', label: 'Bench', reason: 'High contrast, targets for gloved hands.' },
      ]}
    />
  );
}
