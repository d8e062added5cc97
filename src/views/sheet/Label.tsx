import { initialsOf } from '@/core/aftercare/initials';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { dayIn, sayIn } from '@/core/texts/say';

/** Labels for both insoles: first use, size, initials, and room for a code. Nothing on them says more of a person. */
export function Label({ sheet }: { sheet: PatientSheet }) {
  const say = sayIn(sheet.language);
  return (
    <div className="grid gap-[6mm]" lang={sheet.language}>
      {(['left', 'right'] as const).map((side) => (
        <section
          key={side}
          aria-label={say(`lacing.${side}`)}
          className="label grid grid-cols-[1fr_18mm] gap-[2mm] border border-dashed border-rule p-[2mm] w-[62mm] h-[25mm] text-sm leading-tight"
        >
          <div className="grid content-between overflow-hidden">
            <strong className="text-base">{initialsOf(sheet.patient)}</strong>
            <span>{sheet.size}</span>
            <span>{say('label.first-use', { on: dayIn(sheet.language, sheet.startedOn) })}</span>
            <span className="text-faint text-xs">{say(`lacing.${side}`)}</span>
          </div>
          <div className="border border-rule w-[18mm] h-[18mm] self-center" aria-hidden />
        </section>
      ))}
    </div>
  );
}
