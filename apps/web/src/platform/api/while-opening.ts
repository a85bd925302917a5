/** How often to look while links are being opened, ms. Live events tell sooner; this is for networks that let none through. */
export const whileOpeningMs = 4000;
