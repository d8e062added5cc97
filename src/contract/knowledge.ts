import { z } from 'zod';
import { ruleSchema } from '@/contract/answers/shared';
import {
  houseRulesVersionSchema,
  proposalSchema,
  replayRecordSchema,
  ruleUseSchema,
} from '@/contract/answers/specification';
import { houseRulesSchema } from '@/core/prescribe/check/house-rules-schema';
import { byId } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

/** Rules, house rules and replay. */
export const knowledge = {
  knowledge: operation(ROUTES.knowledge, {
    id: 'readKnowledge',
    answer: z.object({
      edition: z.string(),
      rules: z.array(ruleSchema).readonly(),
      use: z.array(ruleUseSchema),
      proposals: z.array(proposalSchema),
    }),
    tag: 'knowledge',
    summary:
      'The rules in force in this clinic, how often each fired and was overruled, and changes that this clinic’s record speaks for',
  }),
  houseRules: operation(ROUTES.houseRules, {
    id: 'listHouseRules',
    answer: z.array(houseRulesVersionSchema),
    tag: 'knowledge',
    summary: 'Every version of the clinic’s house rules, newest first',
  }),
  saveHouseRules: operation(ROUTES.saveHouseRules, {
    id: 'saveHouseRules',
    answer: houseRulesVersionSchema,
    conflict: houseRulesVersionSchema,
    tag: 'knowledge',
    summary: 'Put a new version of the house rules in force; 409 when another came first',
    body: houseRulesSchema.extend({
      basedOn: z.int().min(0),
      note: z.string().trim().min(3, 'Say what this version is for.').max(600),
    }),
    bodyLimit: 1_000_000,
    status: 201,
  }),
  previewHouseRules: operation(ROUTES.previewHouseRules, {
    id: 'previewHouseRules',
    tag: 'knowledge',
    summary:
      'Which issued specifications would change: a line of JSON each, with progress; closing it cancels',
    body: houseRulesSchema,
    bodyLimit: 1_000_000,
    changesNothing: true,
    produces: 'application/x-ndjson',
  }),
  replay: operation(ROUTES.replay, {
    id: 'replaySpecification',
    answer: replayRecordSchema,
    tag: 'knowledge',
    summary: 'An issued specification, replayed with the rules of its edition and with those of today',
    params: byId,
  }),
} as const;
