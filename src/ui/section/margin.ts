/** Room at both sides of what is drawn on the section's sheet [px]. */
export const MARGIN = 40;
