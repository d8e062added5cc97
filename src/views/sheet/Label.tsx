import { initialsOf } from '@/core/aftercare/initials';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { QrCode } from '@/ui/drawing/QrCode';

/** The card begins with what is felt with the hands; what follows is not counted. */
const HAND_CHECKS = 4;

/**
 * Labels for both insoles: first use, size, initials, and the code that leads to the patient’s own page where there is one, else room
 * for it; nothing on them says more of a person. Beside them a card
 * with what to feel for in a shop, for whoever may choose alone.
 */
export function Label({ sheet, home }: { sheet: PatientSheet; home: string | null }) {
  const { words, shop } = sheet;
  return (
    <div className="grid gap-[6mm]" lang={sheet.language} dir={sheet.direction}>
      {(['left', 'right'] as const).map((side) => (
        <section
          key={side}
          aria-label={words[side]}
          className="label grid grid-cols-[1fr_18mm] gap-[2mm] border border-dashed border-rule p-[2mm] w-[62mm] h-[25mm] text-xs leading-tight"
        >
          <div className="grid content-between overflow-hidden">
            <span className="flex justify-between items-baseline gap-[2mm]">
              <strong className="text-base leading-none">{initialsOf(sheet.patient)}</strong>
              {words[side]}
            </span>
            <span>{sheet.size}</span>
            <span>{words.firstUse}</span>
          </div>
          {home ? (
            <QrCode text={home} label={words.title} className="w-[18mm] h-[18mm] self-center" />
          ) : (
            <div className="border border-rule w-[18mm] h-[18mm] self-center" aria-hidden />
          )}
        </section>
      ))}
      {shop.length > 0 && (
        <section
          aria-label={words.card}
          className="border border-dashed border-rule p-[3mm] w-[85mm] min-h-[54mm] text-sm leading-snug"
        >
          <strong>{words.shop}</strong>
          <ol className="list-decimal ps-5">
            {shop.slice(0, HAND_CHECKS).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {shop.slice(HAND_CHECKS).map((line) => (
            <p key={line} className="mt-[1mm]">
              {line}
            </p>
          ))}
          {words.call !== '' && <p className="mt-[1mm]">{words.call}</p>}
        </section>
      )}
    </div>
  );
}
