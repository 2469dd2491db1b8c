'use client';

import { useState } from 'react';
import type { AirReply, Device } from '@/contract/replies';
import type { Problem } from '@/core';
import { Button } from '@/ui/button';
import { Choice, TextField } from '@/ui/fields';
import { Form } from '@/ui/form';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { Group } from '../form/group';

/** The devices that send readings; a new one's token is shown this once. */
export function Devices({ data, onChange }: { data: AirReply; onChange: () => void }) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState<Device['kind']>('hygrometer');
  const [added, setAdded] = useState<{ name: string; token: string } | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const add = async () => {
    const reply = await request<{ name: string; token: string }>('POST', '/api/devices', {
      name,
      kind,
      placeId: kind === 'hygrometer' ? (data.place?.id ?? null) : null,
    });
    setProblems(reply.ok ? [] : reply.problems);
    if (!reply.ok) return;
    setAdded(reply.value);
    setName('');
    onChange();
  };
  const bin = async (device: Device) => {
    const reply = await request('DELETE', `/api/devices/${device.id}`);
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) onChange();
  };
  return (
    <>
      <Group title="Devices">
        {data.devices.length === 0 ? <p className="mb-2 text-ink-2">None yet.</p> : null}
        <ul>
          {data.devices.map((device) => (
            <li key={device.id} data-device={device.name} className="border-hairline border-b py-1.5">
              <span className="flex items-baseline gap-2">
                <b className="mr-auto font-semibold">{device.name}</b>
                <Button look="quiet" aria-label={`Take away ${device.name}`} onClick={() => void bin(device)}>
                  Take away
                </Button>
              </span>
              <span className="text-[12px] text-ink-2">
                {device.kind === 'hygrometer' ? 'air' : 'boards'},{' '}
                {device.lastSeenAt
                  ? `last heard ${device.lastSeenAt.slice(0, 16).replace('T', ' ')} UTC`
                  : 'not heard of yet'}
              </span>
            </li>
          ))}
        </ul>
      </Group>
      <Group title="Add a device">
        <ProblemList problems={problems} />
        <Form onSubmit={add}>
          <TextField
            label="Device"
            value={name}
            onCommit={(next) => {
              setName(next);
              return undefined;
            }}
          />
          <Choice
            label="It reads"
            value={kind}
            onCommit={setKind}
            options={[
              { value: 'hygrometer', label: 'The shop’s air' },
              { value: 'moisture-meter', label: 'Boards' },
            ]}
          />
          <Button type="submit">Add it</Button>
        </Form>
        {added ? (
          <div role="status" className="mt-2 border-layout border-l-4 bg-layout-tint px-3 py-2">
            <p>Token of {added.name}, shown this once:</p>
            <code className="block break-all" data-token>
              {added.token}
            </code>
            <p className="mt-1 text-[12px] leading-4">
              It posts JSON to <code>/api/readings</code> with “Authorization: Bearer” and this token; the form stands
              in docs/readings.md. To try it: <code>TOKEN=… node bin/stand-in.mjs {kind}</code>
            </p>
          </div>
        ) : null}
      </Group>
    </>
  );
}
