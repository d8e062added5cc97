/** The ball lies at about 73 % of the last from the heel. From memory (heel–ball 0.72–0.74 of foot length). */
export const BALL_SHARE = 0.73;
