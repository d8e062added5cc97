import { type Crop, WHOLE } from '@/core/photograph/crop';
import { PHOTOGRAPH_KINDS, type TiltLines } from '@/core/photograph/photograph-schema';
import { lengthInWords } from '@/core/photograph/scale';
import { tiltInWords, tiltOf } from '@/core/photograph/tilt';
import { Amount } from '@/ui/fields/Amount';
import { Select } from '@/ui/fields/Select';
import type { usePhotograph } from './use-photograph';

const SIDES = ['left', 'right'] as const;

interface Props {
  taking: ReturnType<typeof usePhotograph>;
  picture: ImageBitmap;
  lines: NonNullable<ReturnType<typeof usePhotograph>['lines']>;
  crop: Crop | null;
  onCrop: (crop: Crop | null) => void;
}

/** What is done with the picture under the hands, and what it answers. */
export function PhotographTools({ taking, picture, lines, crop, onCrop }: Props) {
  const { kind, scale, state } = taking;
  return (
    <div className="grid gap-3 content-start">
      <Select
        label="What it shows"
        options={PHOTOGRAPH_KINDS}
        value={kind}
        onChange={(chosen) => chosen && taking.setKind(chosen)}
      />
      {kind === 'rear' && <TiltAnswers lines={lines.at} isPlaced={lines.isPlaced} width={picture.width} />}
      {scale && <LengthAnswer taking={taking} scale={scale} width={picture.width} />}
      <p className="flex flex-wrap gap-2">
        <button type="button" className="press" onClick={taking.turn}>
          Turn
        </button>
        {!scale && (
          <button type="button" className="press" onClick={taking.measure}>
            Measure a length …
          </button>
        )}
        {crop ? (
          <>
            <button
              type="button"
              className="press"
              onClick={() => {
                void taking.crop(crop);
                onCrop(null);
              }}
            >
              Cut here
            </button>
            <button type="button" className="press press-quiet" onClick={() => onCrop(null)}>
              Do not cut
            </button>
          </>
        ) : (
          <button type="button" className="press" onClick={() => onCrop({ ...WHOLE, left: 0.1, right: 0.9 })}>
            Crop …
          </button>
        )}
      </p>
      <p className="flex gap-2">
        <button
          type="button"
          className="press press-main"
          disabled={state !== 'idle' || crop !== null}
          onClick={taking.keep}
        >
          Keep the photograph
        </button>
        <button type="button" className="press press-quiet" onClick={taking.drop}>
          Discard
        </button>
      </p>
      <p className="text-faint text-xs">
        Stored at up to 1600 pixels, without the place and time that a camera writes into its files.
      </p>
    </div>
  );
}

function TiltAnswers({ lines, isPlaced, width }: { lines: TiltLines; isPlaced: boolean; width: number }) {
  return (
    <div role="status" aria-label="Tilt on the table">
      {!isPlaced && <p>The lines have not been placed yet.</p>}
      {(isPlaced ? SIDES : []).map((side) => {
        const heel = lines[side];
        const tilt = heel && tiltOf(lines.table, heel, width);
        return (
          <p key={side}>
            <span className="capitalize">{side}</span>: {tilt ? tiltInWords(tilt, side) : 'no line'}
          </p>
        );
      })}
      <p className="text-faint text-xs">
        Lay one line along the table’s edge, one along the middle of each heel. The error comes from placing
        them.
      </p>
    </div>
  );
}

function LengthAnswer({
  taking,
  scale: { at, isPlaced },
  width,
}: {
  taking: Props['taking'];
  scale: NonNullable<Props['taking']['scale']>;
  width: number;
}) {
  return (
    <div className="grid gap-1">
      <span className="flex gap-2 items-baseline">
        <span className="text-faint">Known length</span>
        <Amount
          label="Known length"
          unit="mm"
          value={at.mm}
          least={5}
          most={2000}
          disabled={false}
          onChange={(mm) => mm !== undefined && taking.setKnown(mm)}
        />
      </span>
      <p role="status" aria-label="Measured length">
        {isPlaced
          ? `Measured: ${lengthInWords(at, width) ?? 'no line'}`
          : 'The lines have not been placed yet.'}
      </p>
      <p className="text-faint text-xs">
        Lay one line along a ruler or a sheet of paper (A4: 297 mm) that lies as far from the camera as the
        shoe, the other along what is measured.{' '}
        <button type="button" className="underline cursor-pointer" onClick={taking.leaveScale}>
          Remove the scale
        </button>
      </p>
    </div>
  );
}
