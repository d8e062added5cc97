/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    actor: import('@/server/database/tenant').Actor;
    formats: import('@/core/formats/formats').Formats;
    /** The browser's session and the account that signed in; null where a token asks. */
    session: { id: string; accountId: string } | null;
    /** Clinics that this account may sit in. */
    seats: number;
    secondFactor: boolean;
    lacksSecondFactor: boolean;
  }
}
