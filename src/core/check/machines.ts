import type { Shop } from '../decision/shop';
import { UNDER_DOWEL } from '../joint/corner-dowels';
import { type InsertedCorner, isInserted } from '../joint/leg-corner';
import { mm, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import type { TablePiece } from '../piece/piece';
import { type Check, judge, type TableContext, type WayOut } from './check';
import { FITS } from './slots';

/** Whether the shop's own cutters make the corner's mortises, and how else they are made. Common practice. */
export function mortisesByTheShop({ piece, shop }: TableContext): Check[] {
  const { corner } = piece;
  if (!isInserted(corner)) return [];
  if (corner.kind === 'dowels') return dowelsByTheShop(piece, corner, shop);
  const { tenon, kind } = corner;
  const { widths, depth } = shop.tools.mortises;
  const where = piece.parts.filter((part) => part.kind === 'leg').map((part) => part.id);
  const exact = widths.some((width) => Math.abs(width - tenon.thickness) <= FITS);
  const narrower = Math.max(0, ...widths.filter((width) => width < tenon.thickness));
  const cutters = shop.tools.cutters.filter((cutter) => cutter.diameter <= tenon.thickness + FITS);
  const deepest = Math.max(0, ...cutters.map((cutter) => cutter.reach));
  const checks: Check[] = [
    {
      id: 'machines.mortise-width',
      step: 'joints',
      level: exact ? 'good' : 'watch',
      sentence: exact
        ? say`A chisel of the shop makes the ${mm(tenon.thickness)} mortises in one row.`
        : say`No chisel of the shop is ${mm(tenon.thickness)} wide.`,
      value: mm(tenon.thickness),
      limit: mm(narrower),
      where,
      why: 'A mortise as wide as its cutter has straight cheeks by itself; the tenon is fitted to the mortise, not the other way.',
      school: 'common practice',
      wayOut: {
        say:
          narrower > 0
            ? say`Fit the tenon to a mortise of ${mm(narrower)}; or cut it in two rows with that chisel`
            : say`Chop it by hand, or rout it where a cutter reaches: ${mm(deepest)} deep`,
        changes: narrower > 0 ? [{ path: 'joints.tenonThickness', value: narrower }] : [],
      },
    },
    {
      id: 'machines.mortise-depth',
      step: 'joints',
      level: judge(tenon.length, depth, { sense: 'at-most' }) === 'good' ? 'good' : 'watch',
      sentence:
        tenon.length <= depth + 1e-9
          ? say`The mortiser reaches the ${mm(tenon.length)} of the mortises.`
          : say`The mortises are ${mm(tenon.length)} deep; the mortiser reaches ${mm(depth)}.`,
      value: mm(tenon.length),
      limit: mm(depth),
      where,
      why: 'A mortise that stops short is found out when the shoulder does not close.',
      school: 'common practice',
      wayOut: {
        say: say`Bore the rest and clean it with a hand chisel, or shorten the tenon to ${mm(depth)}`,
        changes: depth >= 10 ? [{ path: 'joints.tenonLength', value: depth }] : [],
      },
    },
  ];
  if (kind === 'loose-tenon') {
    const wanted = tenon.length + tenon.intoApron;
    const stock = shop.tools.looseTenons.find(
      (own) =>
        Math.abs(own.thickness - tenon.thickness) <= FITS && own.width <= tenon.width + 1 && own.length <= wanted + 1,
    );
    checks.push({
      id: 'machines.loose-tenon',
      step: 'joints',
      level: stock ? 'good' : 'watch',
      sentence: stock
        ? say`Loose tenons of ${mm(stock.thickness)} × ${mm(stock.width)} × ${mm(stock.length)} are in stock.`
        : say`No loose tenon in stock is ${mm(tenon.thickness)} thick and fits ${mm(tenon.width)} × ${mm(wanted)}.`,
      value: mm(tenon.thickness),
      limit: mm(stock?.thickness ?? 0),
      where,
      why: 'The stock decides the slot: a tenon that rattles holds by its glue alone.',
      school: 'common practice',
      wayOut: { say: say`Plane a length of tenon stock from an offcut, edges rounded, grain along it`, changes: [] },
    });
  }
  return checks;
}

/** A dowel, a bit and a stop that fit one another: the hole is as wide as the dowel, or nothing holds. Common practice. */
function dowelsByTheShop(piece: TablePiece, { tenon }: InsertedCorner, shop: Shop): Check[] {
  const where = piece.parts.filter((part) => part.kind === 'leg' || part.kind === 'apron').map((part) => part.id);
  const wanted = tenon.length + tenon.intoApron;
  const bored = shop.tools.borers.some((diameter) => Math.abs(diameter - tenon.thickness) <= FITS);
  const stock = shop.tools.dowels.filter((dowel) => Math.abs(dowel.diameter - tenon.thickness) <= FITS);
  const fits = stock.find((dowel) => dowel.length <= wanted + UNDER_DOWEL && dowel.length >= wanted * 0.8);
  // Those there is a bit for, the nearest in thickness first.
  const ways: WayOut[] = [...new Set(shop.tools.dowels.map(({ diameter }) => diameter))]
    .filter((diameter) => shop.tools.borers.some((own) => Math.abs(own - diameter) <= FITS))
    .sort((p, q) => Math.abs(p - tenon.thickness) - Math.abs(q - tenon.thickness))
    .map((diameter) => ({
      say: say`Take ${mm(diameter)} dowels, for which there is a bit`,
      changes: [{ path: 'joints.tenonThickness', value: diameter }],
    }));
  const buy: WayOut = { say: say`Buy bit and dowels together and try one in the other`, changes: [] };
  return [
    {
      id: 'machines.dowel-bit',
      step: 'joints',
      level: bored ? 'good' : 'watch',
      sentence: bored
        ? say`A bit of the shop bores for ${mm(tenon.thickness)} dowels.`
        : say`No bit of the shop bores for ${mm(tenon.thickness)} dowels.`,
      value: mm(tenon.thickness),
      limit: mm(tenon.thickness),
      where,
      why: 'A dowel in a hole of another size is loose, or splits the part: bore once in waste and try it.',
      school: 'common practice',
      wayOut: ways[0] ?? buy,
      otherWaysOut: [...ways.slice(1), buy],
    },
    {
      id: 'machines.dowels',
      step: 'joints',
      level: fits ? 'good' : 'watch',
      sentence: fits
        ? say`Dowels of ${mm(fits.diameter)} × ${mm(fits.length)} are in stock.`
        : say`No dowel in stock is ${mm(tenon.thickness)} thick and about ${mm(wanted)} long.`,
      value: mm(wanted),
      limit: mm(fits?.length ?? 0),
      where,
      why: 'A short dowel holds less than was reckoned; a long one keeps the shoulder open.',
      school: 'common practice',
      wayOut: { say: say`Cut them from a rod, ends chamfered and grooved for the glue`, changes: [] },
    },
  ];
}

/** What of the top is crosscut and worked on the bench, against saw and bench: the widest and the longest of it. Common practice. */
export function topOnSawAndBench({ piece, shop }: TableContext): Check[] {
  const tops = piece.parts.filter((part) => piece.top.parts.includes(part.id) && !part.material && !part.cut);
  const [first] = tops;
  if (!first) return [];
  const most = (size: (part: Part) => number) => tops.reduce((a, b) => (size(b) > size(a) + 1e-9 ? b : a), first);
  const wide = most((part) => part.size.width);
  const large = most((part) => part.size.length * part.size.width);
  const nameOf = (part: Part) => (tops.length === 1 ? 'top' : part.name.toLowerCase());
  const { crosscut } = shop.tools;
  const { bench } = shop.space;
  const { width } = wide.size;
  const { length, width: across } = large.size;
  const over = Math.max(length - bench.length, 0);
  const beside = Math.max(across - bench.width, 0);
  // Half of it may hang over before it tips by itself; a third is comfortable.
  const steady = over <= length / 3 && beside <= across / 3;
  return [
    {
      id: 'machines.crosscut',
      step: 'glue-up',
      level: width <= crosscut + 1e-9 ? 'good' : 'watch',
      sentence:
        width <= crosscut + 1e-9
          ? say`The saw cuts the ends of the ${mm(width)} ${nameOf(wide)} square.`
          : say`The ${nameOf(wide)} is ${mm(width)} wide; the saw crosscuts ${mm(crosscut)}.`,
      value: mm(width),
      limit: mm(crosscut),
      where: [wide.id],
      why: 'A panel pushed free-hand past a blade binds and kicks back.',
      school: 'common practice',
      wayOut: { say: say`Trim the ends with a track-guided cut, from both faces where it is thick`, changes: [] },
    },
    {
      id: 'machines.bench',
      step: 'glue-up',
      level: steady ? 'good' : 'watch',
      sentence: steady
        ? say`The ${nameOf(large)} lies steady on the bench.`
        : say`The ${nameOf(large)} is ${mm(length)} × ${mm(across)}; the bench is ${mm(bench.length)} × ${mm(bench.width)}.`,
      value: mm(length),
      limit: mm(bench.length),
      where: [large.id],
      why: 'What hangs over by more than a third sags while it is planed, and tips when it is leaned on.',
      school: 'common practice',
      wayOut: { say: say`Work it on trestles with two straight bearers, or turn it half-way`, changes: [] },
    },
  ];
}
