export {
  FIELD_TESTS,
  TEST_FIELDS,
  TEST_FIGURES,
  type FieldTest,
  type FieldUnit,
  type Repeat,
  type TestField,
  type TestFigure,
} from './kinds'
export { BODY_UNTIL, measurementsOf, pipeOf, SALTS_UNTIL } from './measurementsOf'
export { at25Degrees, averaged, FIZZ_GRADES, workOut, type Averaged, type TestProblem } from './workOut'
