import type { z } from 'zod';
import type { api } from '@/contract/contract';
import { deriveFindings } from '@/core/examination/derive';
import { type ClinicalPicture, type EnteredPicture, enteredPicture } from '@/core/findings/picture';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import { askNext } from '@/core/prescribe/counterfactual/ask-next';
import { relianceOf } from '@/core/prescribe/counterfactual/reliance';
import type { ReasoningOptions } from '@/core/prescribe/engine/reasoning-options';
import { type ResolveOptions, resolve } from '@/core/prescribe/engine/resolve';
import { compareSchools } from '@/core/prescribe/explain/compare-schools';
import { targetInWords } from '@/core/prescribe/explain/in-words';
import { type AskedPair, findingsForPair, pairAt, pairsAskedFor } from '@/core/purpose/pairs';
import { LIMITS_OF_USE } from '@/core/safety/cautions';
import { WHAT_IF_CAUTION, whatIf } from '@/core/what-if/what-if';
import type { Tenant } from '../../database/tenant';
import { readHouseRules } from '../knowledge/in-force';

type Body<K extends keyof typeof api> = (typeof api)[K] extends { body?: infer B }
  ? B extends z.ZodType
    ? z.infer<B>
    : never
  : never;

/** What was entered as it concerns one pair, the picture that follows, and the options that a call asks for, under the clinic's own rules. */
export async function readCalculation(
  tenant: Tenant,
  body: Partial<Body<'specification'>> & Pick<Body<'specification'>, 'findings'>,
): Promise<{
  pairs: AskedPair[];
  pair: AskedPair | null;
  entered: EnteredPicture;
  picture: ClinicalPicture;
  options: ResolveOptions & ReasoningOptions;
}> {
  const pairs = pairsAskedFor(enteredPicture(body.findings));
  const pair = pairAt(pairs, body.pair);
  const entered = enteredPicture(findingsForPair(body.findings, pair, pairs));
  return {
    pairs,
    pair,
    entered,
    picture: deriveFindings(entered),
    options: {
      ...(body.school ? { school: body.school } : {}),
      setAside: body.setAside ?? [],
      decisions: body.decisions ?? [],
      knowledge: knowledgeOf(await readHouseRules(tenant)),
    },
  };
}

export async function calculateSpecification(tenant: Tenant, body: Body<'specification'>) {
  const { picture, options, pairs, pair } = await readCalculation(tenant, body);
  return { ...resolve(picture, options), pairs, pair: pair?.id ?? null, limitsOfUse: LIMITS_OF_USE };
}

export async function compareSchoolsFor(tenant: Tenant, body: Body<'comparison'>) {
  const { picture, options } = await readCalculation(tenant, body);
  const { schools, rows, specifications } = compareSchools(picture, options);
  return {
    schools,
    rows: rows.map(({ targets, ...row }) => ({
      ...row,
      says: targets.map((target) => (target ? targetInWords(target) : null)),
    })),
    specifications,
    limitsOfUse: LIMITS_OF_USE,
  };
}

export async function nextQuestions(tenant: Tenant, body: Body<'nextQuestions'>) {
  const { entered, options } = await readCalculation(tenant, body);
  return { questions: askNext(entered, options), limitsOfUse: LIMITS_OF_USE };
}

export async function reliance(tenant: Tenant, body: Body<'reliance'>) {
  const { entered, options } = await readCalculation(tenant, body);
  return { reliance: relianceOf(entered, options), limitsOfUse: LIMITS_OF_USE };
}

export async function calculateWhatIf(tenant: Tenant, { from, to }: Body<'whatIf'>) {
  const { settings } = await readHouseRules(tenant);
  return { regions: whatIf(from, to, settings), caution: WHAT_IF_CAUTION, limitsOfUse: LIMITS_OF_USE };
}
