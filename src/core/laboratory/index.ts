export {
  asSaturated,
  EXTRACT_WATER,
  LAB_FIGURES,
  LAB_METHODS,
  type LabFigure,
  type LabFigures,
  type LabMethod,
} from './methods'
export { fromDryWeight, fromMillimoles, PRINTED_AS } from './printed'
export {
  chargeRatio,
  LAB_GROUPS,
  LAB_LIMITS,
  LAB_VERDICTS,
  labBand,
  labConcerns,
  readReport,
  type LabBand,
  type LabConcern,
  type LabGroup,
  type LabReading,
  type LabVerdict,
} from './report'
export { readSoil, type SoilGrade, type SoilReading } from './soil'
export { SOIL_ELEMENTS, SOIL_FIELD, SOIL_METHODS, type SoilElement, type SoilMethod } from './soilFields'
