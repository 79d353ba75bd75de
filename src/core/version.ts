/** Version of the calculating, frozen with every plan that was printed, cut or taken to the bench. */
export const CORE_VERSION = '0.1.0'
