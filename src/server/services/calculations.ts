import type { z } from 'zod';
import type { api } from '@/api/contract';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import { type ClinicalPicture, clinicalPicture } from '@/core/picture/clinical-picture';
import { askNext } from '@/core/prescribe/ask-next';
import type { Choosing } from '@/core/prescribe/choosing';
import { compareSchools } from '@/core/prescribe/compare';
import { targetInWords } from '@/core/prescribe/explain';
import { hangsOn } from '@/core/prescribe/hangs-on';
import { type ResolveOptions, resolve } from '@/core/prescribe/resolve';
import { LIMITS_OF_USE } from '@/core/safety/cautions';
import { WHAT_IF_CAUTION, whatIf } from '@/core/what-if/what-if';
import type { Tenant } from '../database/tenant';
import { readHouseRules } from './knowledge';

type Body<K extends keyof typeof api> = (typeof api)[K] extends { body?: infer B }
  ? B extends z.ZodType
    ? z.infer<B>
    : never
  : never;

/** The picture and the options a call asks for, under the clinic's own rules. */
export async function asked(
  tenant: Tenant,
  body: Partial<Body<'specification'>> & Pick<Body<'specification'>, 'findings'>,
): Promise<[ClinicalPicture, ResolveOptions & Choosing]> {
  return [
    clinicalPicture(body.findings),
    {
      ...(body.school ? { school: body.school } : {}),
      setAside: body.setAside ?? [],
      decisions: body.decisions ?? [],
      knowledge: knowledgeOf(await readHouseRules(tenant)),
    },
  ];
}

export async function calculateSpecification(tenant: Tenant, body: Body<'specification'>) {
  const [picture, options] = await asked(tenant, body);
  return { ...resolve(picture, options), limitsOfUse: LIMITS_OF_USE };
}

export async function compareSchoolsFor(tenant: Tenant, body: Body<'comparison'>) {
  const [picture, options] = await asked(tenant, body);
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
  return { questions: askNext(...(await asked(tenant, body))), limitsOfUse: LIMITS_OF_USE };
}

export async function reliance(tenant: Tenant, body: Body<'reliance'>) {
  return { hangsOn: hangsOn(...(await asked(tenant, body))), limitsOfUse: LIMITS_OF_USE };
}

export async function calculateWhatIf(tenant: Tenant, { from, to }: Body<'whatIf'>) {
  const { settings } = await readHouseRules(tenant);
  return { regions: whatIf(from, to, settings), caution: WHAT_IF_CAUTION, limitsOfUse: LIMITS_OF_USE };
}
