/** Other forms of what is kept: pictures by their width in pixels, office files as PDF. */
export const variantNames = ['w640', 'w1280', 'pdf'] as const;
export type VariantName = (typeof variantNames)[number];
