import { lazy } from 'react';
import { drawOption } from '@/ui/drawing/option-pictures';
import { Sections } from '@/ui/Sections';
import { BothFeet } from '../FindingField';
import { CadenceTap } from '../timing/CadenceTap';

const GaitClip = lazy(() => import('../devices/GaitClip'));
const Pressures = lazy(() => import('../devices/Pressures'));

/** Moving: what changes against standing, by eye, by clip, by plate. */
export function Move() {
  return (
    <Sections
      label="Parts of the moving examination"
      parts={[
        {
          id: 'watch',
          title: 'Watch',
          content: (
            <div className="grid gap-4">
              <BothFeet ids={['roll', 'footDrop', 'strike', 'pushOff', 'landingSound']} draw={drawOption} />
              <p className="text-faint max-w-prose justify-self-center">
                Barefoot first, then in the shoe; slow, then fast.
              </p>
            </div>
          ),
        },
        {
          id: 'angles',
          title: 'Heel angles',
          content: (
            <div className="grid gap-4">
              <BothFeet
                ids={[
                  'heelAngleStance',
                  'heelAngleBothFeet',
                  'heelAngleWalk',
                  'heelExcursionWalk',
                  'heelAngleRun',
                  'heelExcursionRun',
                ]}
              />
              <p className="text-faint max-w-prose justify-self-center">
                There is no agreed angle at which rolling becomes “over”: keep the number, the change from
                standing on one leg, and whether it goes with symptoms.
              </p>
            </div>
          ),
        },
        { id: 'cadence', title: 'Cadence', content: <CadenceTap /> },
        {
          id: 'clip',
          title: 'Gait clip',
          content: <GaitClip />,
        },
        {
          id: 'pressure',
          title: 'Pressure',
          content: <Pressures />,
        },
      ]}
    />
  );
}
