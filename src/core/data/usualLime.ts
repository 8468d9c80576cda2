/** The id of ground limestone, which lime is where nobody says another. */
export const GROUND_LIMESTONE = 'lime_calcitic'
