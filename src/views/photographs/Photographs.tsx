import { useState } from 'react';
import type { Answer } from '@/contract/answer';
import type { PhotographRecord } from '@/contract/records';
import type { Crop } from '@/core/photograph/crop';
import { ComparePhotographs } from './ComparePhotographs';
import { PhotographStage } from './PhotographStage';
import { PhotographTools } from './PhotographTools';
import { type NewPhotograph, usePhotograph } from './use-photograph';

interface Props {
  photographs: readonly PhotographRecord[];
  today: string;
  readOnly: boolean;
  send: (photograph: NewPhotograph) => Promise<Answer<unknown>>;
  onKept: () => void;
}

/** Photographs of a pair: taken or loaded, turned, cut, with the tilt of each shoe and lengths in mm; kept and compared. */
export function Photographs({ photographs, today, readOnly, send, onKept }: Props) {
  const taking = usePhotograph(today, send, onKept);
  const { picture, kind, lines, problem, state } = taking;
  const [crop, setCrop] = useState<Crop | null>(null);
  return (
    <div className="grid gap-4">
      {!readOnly && (
        <div className="flex flex-wrap gap-3 items-end">
          <label>
            <span className="block text-faint">Picture file, or the camera of this device</span>
            <input
              type="file"
              accept="image/*"
              capture="environment"
              disabled={state !== 'idle'}
              onChange={({ target }) => {
                const [chosen] = target.files ?? [];
                if (chosen) void taking.open(chosen);
                target.value = '';
              }}
            />
          </label>
          <button
            type="button"
            className="press"
            disabled={state !== 'idle'}
            onClick={() => taking.simulate({ seed: 1, leftDeg: 6, rightDeg: -1, rollDeg: 2 })}
          >
            From the simulated camera
          </button>
          {problem && (
            <p role="alert" className="problem">
              {problem}
            </p>
          )}
          <span role="status" className="text-faint">
            {state === 'opening' ? 'Opening the picture …' : state === 'keeping' ? 'Keeping it …' : ''}
          </span>
        </div>
      )}
      {picture && lines && (
        <div className="grid grid-cols-[minmax(0,1fr)_18rem] gap-6">
          <PhotographStage
            picture={picture}
            kind={kind}
            lines={lines.at}
            scale={taking.scale?.at ?? null}
            crop={crop}
            onLines={taking.placeLines}
            onScale={taking.placeScale}
            onCrop={setCrop}
          />
          <PhotographTools taking={taking} picture={picture} lines={lines} crop={crop} onCrop={setCrop} />
        </div>
      )}
      <ComparePhotographs photographs={photographs} />
    </div>
  );
}
