import { z } from 'zod';
import { houseRulesSchema } from '@/core/knowledge/schema';
import { byId, CLINICIANS } from './common';
import { operation } from './operation';

/** Rules, house rules and replay. */
export const knowledge = {
  knowledge: operation({
    id: 'readKnowledge',
    method: 'GET',
    path: '/knowledge',
    tag: 'knowledge',
    summary: 'The rules in force in this clinic, and how often each fired and was overruled',
  }),
  houseRules: operation({
    id: 'listHouseRules',
    method: 'GET',
    path: '/knowledge/house-rules',
    tag: 'knowledge',
    summary: 'Every version of the clinic’s house rules, newest first',
  }),
  saveHouseRules: operation({
    id: 'saveHouseRules',
    method: 'POST',
    path: '/knowledge/house-rules',
    tag: 'knowledge',
    summary: 'Put a new version of the house rules in force; 409 when another came first',
    body: houseRulesSchema.extend({
      basedOn: z.int().min(0),
      note: z.string().trim().min(3, 'Say what this version is for.').max(600),
    }),
    bodyLimit: 1_000_000,
    status: 201,
    roles: ['lead'],
  }),
  previewHouseRules: operation({
    id: 'previewHouseRules',
    method: 'POST',
    path: '/knowledge/house-rules/preview',
    tag: 'knowledge',
    summary:
      'Which issued specifications would change: a line of JSON each, with progress; closing it cancels',
    body: houseRulesSchema,
    bodyLimit: 1_000_000,
    produces: 'application/x-ndjson',
    roles: CLINICIANS,
  }),
  replay: operation({
    id: 'replaySpecification',
    method: 'GET',
    path: '/specifications/{id}/replay',
    tag: 'knowledge',
    summary: 'An issued specification, replayed with the rules of its edition and with those of today',
    params: byId,
  }),
} as const;
