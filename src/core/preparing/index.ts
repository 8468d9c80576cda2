export { PREP_STEPS, prepLead, prepStep, stepsFor, type Lead, type PrepStep } from './steps'
