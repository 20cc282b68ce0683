import { Matrix, solve } from 'ml-matrix';

/**
 * Prandtl's lifting line for a rectangular wing by Glauert's series, written
 * independently of the lattice: Γ = 2bV ΣAₙ sin nθ, collocated at N points.
 * Source: Glauert, The Elements of Aerofoil and Airscrew Theory, 1926, ch. XI.
 * @param angle local angle of attack at y/(b/2) = cos θ [rad]
 */
export function liftingLine(aspectRatio: number, angle: (eta: number) => number, terms = 120) {
  const mu = (2 * Math.PI) / (4 * aspectRatio);
  const matrix = Matrix.zeros(terms, terms);
  const right = Matrix.zeros(terms, 1);
  for (let i = 0; i < terms; i++) {
    const theta = ((i + 0.5) * Math.PI) / terms;
    for (let n = 1; n <= terms; n++) matrix.set(i, n - 1, Math.sin(n * theta) * (n * mu + Math.sin(theta)));
    right.set(i, 0, mu * angle(Math.cos(theta)) * Math.sin(theta));
  }
  const coefficients = solve(matrix, right).to1DArray();
  return {
    lift: Math.PI * aspectRatio * coefficients[0]!,
    /** Rolling moment over q S b, positive with more lift at y > 0. */
    roll: (Math.PI * aspectRatio * coefficients[1]!) / 4,
    spanEfficiency: 1 / coefficients.reduce((sum, a, index) => sum + (index + 1) * (a / coefficients[0]!) ** 2, 0),
  };
}
