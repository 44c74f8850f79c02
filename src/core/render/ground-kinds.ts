/** What can lie on a region before anything is laid by plan. */
export const GROUND_KINDS = ['bare', 'printed grey', 'wash', 'coloured'] as const;
