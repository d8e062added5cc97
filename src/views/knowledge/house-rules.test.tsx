import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { press, saidAt, settle, write } from '@tests/fixtures/acting';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { HouseRulesVersion } from '@/contract/records';
import type { Proposal } from '@/core/insights/propose-changes';
import type { HouseChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import { ChangeRule } from './ChangeRule';
import { KnowledgeScreen } from './KnowledgeScreen';
import { OwnRuleForm } from './OwnRuleForm';

beforeEach(() => {
  localStorage.clear();
  serve({});
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a change of a shipped rule', () => {
  const free = RULES.find((rule) => rule.strength === 'moderate' && rule.schools.length === 0)!;
  const ofSchool = RULES.find((rule) => rule.strength === 'moderate' && rule.schools.length > 0)!;
  const limit = RULES.find((rule) => rule.strength === 'limit')!;
  async function open(rule: (typeof RULES)[number]) {
    const made: HouseChange[] = [];
    render(<ChangeRule rule={rule} onChange={(change) => made.push(change)} />);
    await press('Change here …');
    return made;
  }
  const offered = () =>
    within(screen.getByLabelText('In this clinic'))
      .getAllByRole('option')
      .map((option) => option.textContent);

  it('needs a reason; without one it says so and nothing goes into the draft', async () => {
    const made = await open(free);
    write('Reason', ' x ');
    await press('Into the draft');
    expect(saidAt(screen.getByLabelText('Reason'))).toMatch(/at least 3 letters/);
    expect(made).toEqual([]);
    write('Reason', '  our patients slip  ');
    await press('Into the draft');
    expect(made).toEqual([{ kind: 'off', rule: free.id, reason: 'our patients slip' }]);
  });

  it('offers every other strength; a rule of one school cannot become a limit', async () => {
    await open(free);
    expect(offered()).toEqual(['switched off', 'limit', 'strong', 'slight']);
    cleanup();
    await open(ofSchool);
    expect(offered()).toEqual(['switched off', 'strong', 'slight']);
  });

  it('weakening a limit is warned of', async () => {
    const made = await open(limit);
    expect(screen.getByText(/it protects/)).toBeTruthy();
    write('In this clinic', 'slight');
    write('Reason', 'agreed with the vascular team');
    await press('Into the draft');
    expect(made).toMatchObject([{ kind: 'strength', strength: 'slight' }]);
  });
});

describe('a rule of the clinic’s own', () => {
  const show = () => {
    const done: (HouseChange | null)[] = [];
    render(<OwnRuleForm onDone={(change) => done.push(change)} />);
    return done;
  };

  it('says at each field what is missing, keeps what was written, and makes nothing', async () => {
    const done = show();
    write('Finding, in words', 'runs on our cliff path');
    write('Because, in one sentence', 'too short');
    await press('Into the draft');
    expect(saidAt(screen.getByLabelText('Because, in one sentence'))).toMatch(/at least 20 letters/);
    expect(saidAt(screen.getByLabelText(/^Reason for this change/))).toMatch(/at least 3 letters/);
    expect(document.body.textContent).toContain('Each finding needs at least one option, or a number.');
    expect(document.body.textContent).toContain(
      'Each wish needs at least one option, or an end of its band.',
    );
    expect(screen.getByLabelText('Finding, in words')).toHaveProperty('value', 'runs on our cliff path');
    expect(done).toEqual([]);
  });

  it('is made of demands and wishes, with a name from its finding', async () => {
    const done = show();
    write('Finding, in words', 'Rúns on öur cliff path!');
    fireEvent.click(screen.getByLabelText('road running'));
    fireEvent.click(screen.getByRole('button', { name: 'And another finding' }));
    write('How the findings are joined', 'any');
    fireEvent.change(screen.getAllByLabelText('Finding')[1]!, { target: { value: 'ageYears' } });
    fireEvent.change(screen.getAllByLabelText('Is or is not')[1]!, { target: { value: 'not' } });
    fireEvent.change(screen.getAllByLabelText('Bound')[0]!, { target: { value: 'below' } });
    fireEvent.change(screen.getByLabelText('Age'), { target: { value: '16,5' } });
    fireEvent.change(screen.getByRole('combobox', { name: 'Feature' }), {
      target: { value: 'outsoleHardness' },
    });
    write(/^at least/, '4');
    write('Because, in one sentence', 'The cliff path eats soft rubber within a month.');
    fireEvent.click(screen.getByLabelText('load-led'));
    write('Strength', 'moderate');
    write('Evidence', 'C');
    write('Source', 'house');
    write(/^Reason for this change/, 'three worn pairs this spring');
    await press('Into the draft');
    expect(done).toMatchObject([
      {
        kind: 'own',
        reason: 'three worn pairs this spring',
        rule: {
          id: 'house-runs-on-our-cliff-path',
          when: {
            any: [
              { finding: 'activities', has: ['road-running'] },
              { not: { finding: 'ageYears', below: 16.5 } },
            ],
          },
          wishes: [{ feature: 'outsoleHardness', atLeast: 4 }],
          schools: ['load'],
          strength: 'moderate',
        },
      },
    ]);
  });

  it('rows are added and taken away, the last one stays', () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: 'And another feature' }));
    expect(screen.getAllByRole('button', { name: 'Remove' })).toHaveLength(2);
    fireEvent.click(screen.getAllByRole('button', { name: 'Remove' })[0]!);
    expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull();
    expect(screen.getAllByRole('combobox', { name: 'Feature' })).toHaveLength(1);
  });

  it('a limit of one school only is refused as a whole, and says why', async () => {
    const done = show();
    write('Finding, in words', 'works on wet decks');
    fireEvent.click(screen.getByLabelText('road running'));
    write('Strength', 'limit');
    fireEvent.click(screen.getByLabelText('shape-led'));
    fireEvent.change(screen.getByRole('combobox', { name: 'Feature' }), {
      target: { value: 'outsoleHardness' },
    });
    write(/^at least/, '4');
    write('Because, in one sentence', 'A wet deck is slippery whatever one believes.');
    write(/^Reason for this change/, 'deck crews');
    await press('Into the draft');
    expect(done).toEqual([]);
    expect(screen.getByRole('alert').textContent).toMatch(/limit/i);
  });
});

describe('putting house rules in force', () => {
  const version: HouseRulesVersion = {
    version: 3,
    changes: [],
    settings: {},
    note: 'before',
    madeBy: 'Lead',
    madeAt: '2030-01-01T09:00:00.000Z',
  };
  const show = async (mayChange = true) => {
    render(<KnowledgeScreen versions={[version]} use={[]} proposals={[]} mayChange={mayChange} />);
    fireEvent.click(screen.getByRole('tab', { name: /House rules/ }));
    await settle();
  };

  it('a draft on an overtaken version is refused, and can be based on the newer one', async () => {
    const sent: { basedOn: number }[] = [];
    serve({
      'POST /knowledge/house-rules': (body) => {
        sent.push(body as { basedOn: number });
        return sent.length === 1
          ? {
              status: 409,
              body: {
                status: 409,
                code: 'conflict',
                title: 'Version 4 was put in force meanwhile.',
                current: { ...version, version: 4 },
              },
            }
          : { body: { ...version, version: 5, note: 'ours' } };
      },
    });
    await show();
    write('What this version is for', 'ours');
    await press('Put in force');
    await press(/Base this draft on version 4/);
    await press('Put in force');
    expect(sent.map(({ basedOn }) => basedOn)).toEqual([3, 4]);
    expect(screen.getByText(/Draft, from version 5/)).toBeTruthy();
  });

  it('what the server says of the note stands at the note', async () => {
    serve({
      'POST /knowledge/house-rules': () => ({
        status: 422,
        body: {
          status: 422,
          code: 'invalid',
          title: 'Some fields need another look.',
          errors: [{ path: ['note'], message: 'Say what this version is for.' }],
        },
      }),
    });
    await show();
    await press('Put in force');
    expect(saidAt(screen.getByLabelText('What this version is for'))).toBe('Say what this version is for.');
  });

  it('a draft outlives a reload, and whoever is not the lead may draft but not put in force', async () => {
    await show(false);
    expect(screen.queryByRole('button', { name: 'Put in force' })).toBeNull();
    write('from', '2');
    cleanup();
    await show(false);
    expect(screen.getByLabelText('from')).toHaveProperty('value', '2');
    expect(screen.getByLabelText('to')).toHaveProperty('value', '2');
  });
});

describe('what the clinic’s own record speaks for', () => {
  it('stands with its evidence, goes into the draft by one press, and is put in force by nobody but the lead', () => {
    const rule = RULES.find(({ strength }) => strength === 'strong')!;
    const limit = RULES.find(({ strength }) => strength === 'limit')!;
    const proposals: Proposal[] = [
      {
        rule: rule.id,
        because: 'overruled',
        evidence: 'Overruled in 20 of 40 prescriptions (35 % to 65 %).',
        change: { kind: 'strength', rule: rule.id, strength: 'moderate', reason: 'Overruled in 20 of 40.' },
      },
      { rule: limit.id, because: 'overruled', evidence: 'Overruled in 40 of 40.', change: null },
    ];
    render(<KnowledgeScreen versions={[]} use={[]} proposals={proposals} mayChange={false} />);
    fireEvent.click(screen.getByRole('tab', { name: 'House rules (0), 2 proposed' }));
    const region = screen.getByRole('region', { name: 'Proposed from this clinic’s own record' });
    expect(region.textContent).toContain('20 of 40 prescriptions');
    expect(region.textContent).toContain('nothing looser is proposed');
    fireEvent.click(within(region).getByRole('button', { name: 'Take into the draft' }));
    expect(within(region).getByRole('button', { name: 'In the draft' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('region', { name: 'Draft' }).textContent).toContain('made moderate');
    expect(screen.getByText('The clinic’s lead puts house rules in force.')).toBeTruthy();
  });
});
