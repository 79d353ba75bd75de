export { JAR_KIND_WORDS, JAR_KINDS, type JarEntry, type JarKind, type JarMetal, jarHolds, mixingFault } from './jar'
export { type RefiningSlip, refiningSlip, type SentJar, type SlipLine } from './refining'
