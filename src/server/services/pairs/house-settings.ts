import type { HouseSettings } from '@/core/knowledge/house-rules';
import { USUAL_PROSTHESIS } from '@/core/prosthesis/settings';
import type { SignStrengths } from '@/core/signs/signs';
import type { Tenant } from '../../database/tenant';
import { readHouseRules } from '../knowledge/in-force';

/** What this clinic set by the house rules in force; nothing where it has none. */
export const houseSettingsOf = async (tenant: Tenant): Promise<HouseSettings> =>
  (await readHouseRules(tenant)).settings;

/** How many weeks a new prosthesis keeps its shoe in this clinic. */
export const firstWeeksOf = async (tenant: Tenant): Promise<number> =>
  ((await houseSettingsOf(tenant)).prosthesis ?? USUAL_PROSTHESIS).firstWeeks;

/** How strongly this clinic takes each sign of a worn pair; undefined: as they stand. */
export const signStrengthsOf = async (tenant: Tenant): Promise<SignStrengths | undefined> =>
  (await houseSettingsOf(tenant)).signStrengths;
