import type { Shown } from '../base/shown'

export const testsView = {
  tests: 'Tests',
  everyFigureIsAnEstimate:
    'Every figure is an estimate until your own mix is measured. A test takes minutes; its arithmetic is done here, and what it teaches goes into every later figure.',
  whatIsTestedAMix: 'What is tested: a mix, or one material',
  aMixOrAMaterial: 'A mix or a material',
  typeToFindIt: 'Type to find it',
  nothingIsCalledThat: 'Nothing is called that',
  begin: 'Begin',
  begin2: (name: Shown) => `Begin: ${name}`,
  goingOnAndDone: 'Under way and done',
  noTestYet: 'No test yet.',
  beginningATest: 'beginning a test',
  goingOn: 'going on',
}
