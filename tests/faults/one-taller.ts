import { Checkout } from './checkout';

/** A Taller for the files that ask one which nobody kills; they find it by the names that the suite uses. */
export default async function oneTaller() {
  const checkout = Checkout.ofThis();
  const { stands, said } = await checkout.start();
  if (!stands) throw new Error(said);
  Object.assign(process.env, {
    TALLER_URL: checkout.url,
    DATABASE_URL: checkout.databaseUrl,
    TALLER_FOLDER: checkout.folder,
    TALLER_FAULTS: '1',
  });
  return () => checkout.remove();
}
