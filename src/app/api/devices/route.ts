import { NewDeviceRequest } from '@/contract/requests';
import { addDevice, devicesOf } from '@/server/device-store';
import { answer, readBody } from '@/server/http';
import { currentWorkshop } from '@/server/workshop-store';

export const GET = () => answer(async () => Response.json(await devicesOf((await currentWorkshop()).id)));

export const POST = (request: Request) =>
  answer(async () => {
    const device = await readBody(request, NewDeviceRequest);
    return Response.json(await addDevice((await currentWorkshop()).id, device), { status: 201 });
  });
