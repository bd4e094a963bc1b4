/** The symbols of the elements (IUPAC periodic table, from memory). */
const ELEMENTS = new Set(
  `H He Li Be B C N O F Ne Na Mg Al Si P S Cl Ar K Ca Sc Ti V Cr Mn Fe Co Ni Cu Zn Ga Ge As Se Br Kr Rb Sr Y Zr Nb Mo Tc Ru Rh Pd Ag Cd In Sn Sb Te I Xe Cs Ba La Ce Pr Nd
  Pm Sm Eu Gd Tb Dy Ho Er Tm Yb Lu Hf Ta W Re Os Ir Pt Au Hg Tl Pb Bi Po At Rn Fr Ra Ac Th Pa U Np Pu Am Cm Bk Cf Es Fm Md No Lr Rf Db Sg Bh Hs Mt Ds Rg Cn Nh Fl Mc Lv Ts Og`.split(
    /\s+/u,
  ),
);
const PART = /([A-Z][a-z]?)\d{0,3}|[()[\]]\d{0,3}|[·.]\d*|[+-]\d?$/y;

/** Whether a text is a formula of chemistry: symbols of elements with their numbers, in brackets or not. */
export function isFormula(text: string): boolean {
  PART.lastIndex = 0;
  while (PART.lastIndex < text.length) {
    const part = PART.exec(text);
    if (!part || (part[1] !== undefined && !ELEMENTS.has(part[1]))) return false;
  }
  return text !== '';
}
