/** Version of the core's figures and formulas; files and snapshots carry it. */
export const CORE_VERSION = '1.0.0';
/** Version of the tables of figures. */
export const FIGURES_VERSION = '2026.1';
