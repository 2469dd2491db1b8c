import type { Metadata } from 'next';
import localFont from 'next/font/local';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { DECIMAL_MARKS } from '@/core';
import { currentWorkshop } from '@/server/workshop-store';
import { SCREEN_COOKIE, SCREENS } from '@/ui/screens';
import { SpeciesProvider } from '@/ui/species';
import { UnitsProvider } from '@/ui/units';
import { DECIMAL_COOKIE, UNITS_COOKIE } from '@/ui/units-cookie';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Taller', template: '%s · Taller' },
  description: 'Planning desk and shop record for furniture makers',
};
/** The letters that every page is written with, fetched before anything is painted; those of other scripts come by globals.css. */
const archivo = localFont({
  src: '../../node_modules/@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2',
  weight: '100 900',
  declarations: [{ prop: 'font-stretch', value: '62% 125%' }],
  variable: '--font-archivo',
});

export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: ReactNode }) {
  const { settings } = await currentWorkshop();
  const store = await cookies();
  const chosen = store.get(UNITS_COOKIE)?.value;
  const screen = SCREENS.find((own) => own === store.get(SCREEN_COOKIE)?.value);
  const units = chosen === 'metric' || chosen === 'inch' ? chosen : settings.units;
  const decimal = DECIMAL_MARKS.find((own) => own === store.get(DECIMAL_COOKIE)?.value) ?? 'point';
  return (
    <html lang="en" className={archivo.variable} {...(screen ? { 'data-screen': screen } : {})}>
      <body>
        <a
          href="#main"
          className="sr-only focus:not-sr-only focus:absolute focus:top-1 focus:left-1 focus:z-50 focus:bg-paper focus:px-3 focus:py-2"
        >
          To the page itself
        </a>
        <UnitsProvider initial={units} fraction={settings.fraction} decimal={decimal}>
          <SpeciesProvider own={settings.species}>{children}</SpeciesProvider>
        </UnitsProvider>
      </body>
    </html>
  );
}
