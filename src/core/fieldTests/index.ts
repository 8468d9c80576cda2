export { FIELD_TESTS, type FieldTest } from './names'
export {
  TEST_FIELDS,
  TEST_FIGURES,
  type FieldUnit,
  type Repeat,
  type TestField,
  type TestFigure,
} from './kinds'
export { BODY_UNTIL, measurementsOf, pipeOf, SALTS_UNTIL } from './measurementsOf'
export { at25Degrees, averaged, FIZZ_GRADES, workOut, type Averaged, type TestProblem } from './workOut'
