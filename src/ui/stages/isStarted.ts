import type { Design } from '@/core/2-document/schema/design';

/** What several stages wait for. */
export const hasWing = ({ surfaces }: Design): boolean => surfaces.some(({ role }) => role === 'wing');
export const hasMass = ({ massItems }: Design): boolean => massItems.length > 0;
export const canBalance = (design: Design): boolean => hasWing(design) && hasMass(design);
