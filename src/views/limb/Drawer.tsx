import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { LimbPage } from '@/contract/limb';
import {
  type DrawerSock,
  kindsOf,
  needsHole,
  offChart,
  plyOfColour,
  type SockChart,
} from '@/core/prosthesis/drawer';
import { MOST_PLY, sockStack } from '@/core/prosthesis/sock-stack';
import { DataTable } from '@/ui/table/DataTable';
import type { Limb } from './use-limb';

interface Props {
  limb: Limb;
  page: LimbPage;
}

const EMPTY: DrawerSock = { ply: 1, hole: false, quantity: 1 };

/** Socks in the drawer, what they make, and makers’ colours. */
export function Drawer({ limb, page }: Props) {
  const [draft, setDraft] = useState<DrawerSock[] | null>(null);
  const drawer = draft ?? page.record.drawer;
  const change = (at: number, part: Partial<DrawerSock>) => {
    const next = drawer.map((sock, index) => (index === at ? { ...sock, ...part } : sock));
    const { maker, colour } = next[at]!;
    const ply = maker && colour ? plyOfColour(page.charts, maker, colour) : null;
    // A colour that a chart knows says its ply; what is typed after it stands.
    setDraft(
      ply === null || part.ply !== undefined
        ? next
        : next.map((sock, index) => (index === at ? { ...sock, ply } : sock)),
    );
  };
  const whole = (text: string) => Math.max(0, Math.trunc(Number(text) || 0));
  const off = offChart(page.charts, drawer);
  return (
    <div className="grid grid-cols-[1fr_20rem] max-lg:grid-cols-1 gap-6 items-start">
      <section aria-label="Socks in the drawer" className="grid gap-2">
        {drawer.length === 0 && <p className="text-faint">The drawer is empty: add what the patient has.</p>}
        <DataTable
          spacing="close"
          rows={drawer}
          keyOf={(_, at) => at}
          columns={[
            {
              id: 'maker',
              head: 'Maker',
              cell: (sock, at) => (
                <input
                  className="w-32"
                  list="sock-makers"
                  aria-label={`Maker of kind ${at + 1}`}
                  value={sock.maker ?? ''}
                  onChange={({ target }) => change(at, { maker: target.value || undefined })}
                />
              ),
            },
            {
              id: 'colour',
              head: 'Colour',
              cell: (sock, at) => (
                <input
                  className="w-28"
                  aria-label={`Colour of kind ${at + 1}`}
                  value={sock.colour ?? ''}
                  onChange={({ target }) => change(at, { colour: target.value || undefined })}
                />
              ),
            },
            {
              id: 'ply',
              head: 'Ply',
              cell: (sock, at) => (
                <input
                  type="number"
                  min={1}
                  max={MOST_PLY / 2}
                  className="figure w-14"
                  aria-label={`Ply of kind ${at + 1}`}
                  value={sock.ply}
                  onChange={({ target }) => change(at, { ply: whole(target.value) })}
                />
              ),
            },
            {
              id: 'hole',
              head: 'Hole',
              cell: (sock, at) => (
                <input
                  type="checkbox"
                  className="size-5"
                  aria-label={`Kind ${at + 1} has a hole`}
                  checked={sock.hole}
                  onChange={({ target }) => change(at, { hole: target.checked })}
                />
              ),
            },
            {
              id: 'quantity',
              head: 'How many',
              cell: (sock, at) => (
                <input
                  type="number"
                  min={0}
                  max={200}
                  className="figure w-16"
                  aria-label={`How many of kind ${at + 1}`}
                  value={sock.quantity}
                  onChange={({ target }) => change(at, { quantity: whole(target.value) })}
                />
              ),
            },
            {
              id: 'remove',
              head: 'Remove',
              quiet: true,
              cell: (_, at) => (
                <button
                  type="button"
                  className="press press-quiet"
                  aria-label={`Remove kind ${at + 1}`}
                  onClick={() => setDraft(drawer.filter((__, index) => index !== at))}
                >
                  remove
                </button>
              ),
            },
          ]}
        />
        <datalist id="sock-makers">
          {page.charts.map(({ maker }) => (
            <option key={maker} value={maker} />
          ))}
        </datalist>
        {off.map(({ sock, chart }) => (
          <p key={`${sock.maker} ${sock.colour}`} className="text-hold">
            {sock.maker} {sock.colour}:{' '}
            {chart === null
              ? 'this colour is not in the chart.'
              : `the chart says ${chart}-ply, written here are ${sock.ply}.`}
          </p>
        ))}
        <p className="flex gap-3">
          <button type="button" className="press" onClick={() => setDraft([...drawer, EMPTY])}>
            Add a kind of sock
          </button>
          {draft && (
            <button
              type="button"
              className="press press-main"
              onClick={() => void limb.save({ drawer }).then((answer) => answer?.ok && setDraft(null))}
            >
              Keep the drawer
            </button>
          )}
        </p>
        <Stack drawer={drawer} needs={needsHole(page.record.suspension)} />
      </section>
      <Charts charts={page.charts} onKept={limb.load} />
    </div>
  );
}

/** The fewest socks that make a ply. */
function Stack({ drawer, needs }: { drawer: readonly DrawerSock[]; needs: boolean | null }) {
  const [wanted, setWanted] = useState('');
  const answer = wanted.trim() === '' ? null : sockStack(kindsOf(drawer), Number(wanted), needs ?? false);
  return (
    <div className="flex gap-3 items-baseline border-t border-line pt-2">
      <label className="flex gap-2 items-baseline">
        <span className="text-faint">Wanted ply</span>
        <input
          className="figure w-16"
          inputMode="numeric"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
        />
      </label>
      <p role="status">
        {answer?.ok ? answer.value.sentence : answer?.problem.message}
        {answer?.ok && answer.value.caution && (
          <span className="block text-hold">{answer.value.caution}</span>
        )}
        {needs === null && drawer.length > 0 && (
          <span className="block text-hold">
            How the prosthesis is held is not stated: pin and lanyard need socks with a hole.
          </span>
        )}
      </p>
    </div>
  );
}

/** Makers’ colours as a line each: `red 1, white 3`. Entered once for the clinic. */
function Charts({ charts, onKept }: { charts: readonly SockChart[]; onKept: () => Promise<void> }) {
  const [maker, setMaker] = useState('');
  const [colours, setColours] = useState('');
  const [problem, setProblem] = useState('');
  const pick = (name: string) => {
    setMaker(name);
    const chart = charts.find((one) => one.maker === name);
    if (chart) setColours(chart.colours.map(({ colour, ply }) => `${colour} ${ply}`).join(', '));
  };
  const keep = async () => {
    const read = colours.split(/[,;\n]/).flatMap((part) => {
      const found = /^\s*(.+?)\s+(\d+)\s*$/.exec(part);
      return found ? [{ colour: found[1]!, ply: Number(found[2]) }] : [];
    });
    const parts = colours.split(/[,;\n]/).filter((part) => part.trim() !== '').length;
    if (maker.trim() === '') return setProblem('Name the maker.');
    if (read.length === 0 || read.length < parts)
      return setProblem('Write each colour with its ply: red 1, white 3.');
    const answer = await call('saveSockChart', { body: { maker: maker.trim(), colours: read } });
    setProblem(answer.ok ? '' : failureInWords(answer));
    if (!answer.ok) return;
    setMaker('');
    setColours('');
    await onKept();
  };
  return (
    <section aria-label="Makers’ colours" className="grid gap-2 bg-desk p-3">
      <h2>Makers’ colours</h2>
      <p className="text-faint">
        No two makers mark ply alike. Entered once, for every patient of the clinic.
      </p>
      {charts.length === 0 && <p>None yet.</p>}
      <ul className="grid gap-1">
        {charts.map((chart) => (
          <li key={chart.maker}>
            <button type="button" className="underline cursor-pointer" onClick={() => pick(chart.maker)}>
              {chart.maker}
            </button>
            : {chart.colours.map(({ colour, ply }) => `${colour} ${ply}`).join(', ')}
          </li>
        ))}
      </ul>
      <label className="grid gap-0.5">
        <span className="text-faint">Maker</span>
        <input value={maker} maxLength={60} onChange={({ target }) => setMaker(target.value)} />
      </label>
      <label className="grid gap-0.5">
        <span className="text-faint">Colours with their ply</span>
        <input
          value={colours}
          placeholder="red 1, white 3, blue 5"
          onChange={({ target }) => setColours(target.value)}
        />
      </label>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      <button type="button" className="press justify-self-start" onClick={() => void keep()}>
        Keep these colours
      </button>
    </section>
  );
}
