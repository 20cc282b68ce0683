/** What a surface does, and what follows from it; a new role does not compile until every question is answered. */
interface Role {
  readonly name: string;
  /** Its area counts as reference area. */
  readonly isWing: boolean;
  /** It carries upward and may stall first: wings and canards. */
  readonly isLifting: boolean;
  /** It stabilises or trims in pitch, ahead or behind. */
  readonly isPitchTail: boolean;
  /** It stabilises in pitch from behind. */
  readonly isAftTail: boolean;
  /** It stands upright: an end plate or a fin. */
  readonly isFin: boolean;
  /** The stage where it is drawn. */
  readonly stage: 'wing' | 'tail';
}

const NOT = { isWing: false, isLifting: false, isPitchTail: false, isAftTail: false, isFin: false };

export const ROLES = {
  wing: { ...NOT, name: 'Wing', isWing: true, isLifting: true, stage: 'wing' },
  secondWing: { ...NOT, name: 'Second wing', isWing: true, isLifting: true, stage: 'wing' },
  tailplane: { ...NOT, name: 'Tailplane', isPitchTail: true, isAftTail: true, stage: 'tail' },
  canard: { ...NOT, name: 'Canard', isLifting: true, isPitchTail: true, stage: 'tail' },
  fin: { ...NOT, name: 'Fin', isFin: true, stage: 'tail' },
  vTail: { ...NOT, name: 'V-tail', isPitchTail: true, isAftTail: true, stage: 'tail' },
  tipFin: { ...NOT, name: 'Tip fin', isFin: true, stage: 'wing' },
} as const satisfies Record<string, Role>;

export type SurfaceRole = keyof typeof ROLES;
export const SURFACE_ROLES = Object.keys(ROLES) as [SurfaceRole, ...SurfaceRole[]];

interface Having {
  readonly role: SurfaceRole;
}

export const isWing = ({ role }: Having): boolean => ROLES[role].isWing;
export const isLifting = ({ role }: Having): boolean => ROLES[role].isLifting;
export const isPitchTail = ({ role }: Having): boolean => ROLES[role].isPitchTail;
export const isAftTail = ({ role }: Having): boolean => ROLES[role].isAftTail;
export const isFin = ({ role }: Having): boolean => ROLES[role].isFin;
/** It lies more or less level: everything but fins. */
export const isLevel = (surface: Having): boolean => !isFin(surface);

/** Roles that are drawn at a stage. */
export const rolesAt = (stage: Role['stage']): readonly SurfaceRole[] =>
  SURFACE_ROLES.filter((role) => ROLES[role].stage === stage);
