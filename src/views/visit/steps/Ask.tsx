import { BothFeet, FindingField, useFinding } from '../FindingField';
import { PainMap } from '../PainMap';
import { Sections } from '../Sections';
import { Prosthesis } from './Prosthesis';

/** History: what for, where it hurts, health and reach, and a prosthesis where there is one. */
export function Ask() {
  const prosthesis = useFinding('prosthesisSide', 'body').value;
  const parts = [
    {
      id: 'for',
      title: 'What for',
      content: (
        <div className="grid gap-3">
          <FindingField id="activities" />
          <FindingField id="surfaces" />
          <div className="flex flex-wrap gap-6">
            <FindingField id="weeklyDistance" />
            <FindingField id="hoursStanding" />
            <FindingField id="bodyMass" />
            <FindingField id="eventAhead" />
          </div>
          <div className="grid grid-cols-2 gap-4">
            <FindingField id="workedBefore" />
            <FindingField id="failedBefore" />
          </div>
        </div>
      ),
    },
    {
      id: 'aches',
      title: 'Aches and injuries',
      content: (
        <div className="grid gap-3">
          <PainMap />
          <BothFeet ids={['worstPain', 'injuries']} />
        </div>
      ),
    },
    {
      id: 'health',
      title: 'Health and reach',
      content: (
        <div className="grid gap-3">
          <FindingField id="conditions" />
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="reach" />
            <FindingField id="hands" />
            <FindingField id="falls" />
            <FindingField id="fearOfFalling" />
            <FindingField id="walkingAid" />
            <FindingField id="legLengthDifference" />
          </div>
          <BothFeet ids={['swelling', 'insert', 'insertHeel']} />
        </div>
      ),
    },
    {
      id: 'prosthesis',
      title: 'Prosthesis',
      content: (
        <div className="grid gap-4">
          <FindingField id="prosthesisSide" />
          {prosthesis !== undefined && prosthesis !== 'none' && <Prosthesis />}
        </div>
      ),
    },
  ];
  return <Sections label="Parts of the history" parts={parts} />;
}
