import { SaveShopRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { currentWorkshop, placesOf, saveShop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = () =>
  answer(async () => {
    const { id, revision, settings } = await currentWorkshop();
    return Response.json({ revision, shop: settings, places: await placesOf(id) });
  });

export const PUT = (request: Request) =>
  answer(async () => {
    const { shop, revision } = await readBody(request, SaveShopRequest);
    return Response.json(await saveShop(await currentWorkshop(), shop, revision));
  });
