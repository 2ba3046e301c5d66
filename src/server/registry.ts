import { openAmendment } from './actions/amendments';
import { attach } from './actions/attach';
import { importBatches } from './actions/batches';
import { addCard, withdrawCard } from './actions/cards';
import { correctCastTime } from './actions/cast-time';
import { keepCertificate } from './actions/certificates';
import { drawDiameters } from './actions/diameters';
import { addLoad, correctLoad, handOver, planSampling } from './actions/field';
import {
  addEquipment,
  changeLimit,
  describeCompound,
  describeMachine,
  describePads,
  qualifyCompound,
  qualifyPads,
  recordLotStrength,
  recordVerification,
  setService,
} from './actions/gear';
import { importResults } from './actions/import';
import { createJob, createLot, createSpecification } from './actions/jobs';
import { describeLaboratory, layStepAside } from './actions/laboratory';
import { importList } from './actions/lists';
import { keepLoadLog } from './actions/load-logs';
import { makeBatch } from './actions/make-batch';
import {
  addPerson,
  changePassword,
  changePerson,
  endOwnSession,
  endSessions,
  invitePerson,
  letClientSee,
  takeClientOff,
} from './actions/people';
import { drawPlan, keepPicture, placePoints } from './actions/plan';
import { recordExercise, recordPractice } from './actions/practice';
import {
  closePressFeed,
  drivePress,
  loadBalance,
  openPressFeed,
  pumpFrame,
  workNeedle,
} from './actions/press';
import { keepRecord, readOutLogger } from './actions/records';
import { registerSpecimens } from './actions/register';
import { prepareReport, recordFollowUp, signReport } from './actions/reports';
import { assignRoles } from './actions/roles';
import { acceptReason, completeRun, giveReason, saveReadings, startRun } from './actions/runs';
import { describeSample, makeSpecimens, takeSample } from './actions/samples';
import { decideOwnTests, readReport } from './actions/signing';
import { decideHold, leaveOut, recordEvent, takeBackDiscard, takeBackIn } from './actions/specimens';
import { addStorage, recordDuty } from './actions/storage';
import type { UseCase } from './use-case';

/** Everything a person can do, by the name it has in addresses. */
export const USE_CASES = {
  'create-job': createJob,
  'create-specification': createSpecification,
  'create-lot': createLot,
  'plan-sampling': planSampling,
  'add-load': addLoad,
  'import-batches': importBatches,
  'take-sample': takeSample,
  'describe-sample': describeSample,
  'make-specimens': makeSpecimens,
  'register-specimens': registerSpecimens,
  'assign-roles': assignRoles,
  'leave-out': leaveOut,
  'draw-diameters': drawDiameters,
  'take-back-in': takeBackIn,
  'take-back-discard': takeBackDiscard,
  'correct-load': correctLoad,
  'correct-cast-time': correctCastTime,
  'record-event': recordEvent,
  'decide-hold': decideHold,
  'hand-over': handOver,
  'keep-certificate': keepCertificate,
  'keep-picture': keepPicture,
  'draw-plan': drawPlan,
  'place-points': placePoints,
  'make-batch': makeBatch,
  'keep-record': keepRecord,
  'read-out-logger': readOutLogger,
  'start-run': startRun,
  'save-readings': saveReadings,
  'complete-run': completeRun,
  'give-reason': giveReason,
  'accept-reason': acceptReason,
  'open-amendment': openAmendment,
  'prepare-report': prepareReport,
  'sign-report': signReport,
  'read-report': readReport,
  'decide-own-tests': decideOwnTests,
  'record-follow-up': recordFollowUp,
  attach,
  'keep-load-log': keepLoadLog,
  'open-press-feed': openPressFeed,
  'close-press-feed': closePressFeed,
  'drive-press': drivePress,
  'pump-frame': pumpFrame,
  'load-balance': loadBalance,
  'work-needle': workNeedle,
  'add-equipment': addEquipment,
  'import-list': importList,
  'record-verification': recordVerification,
  'describe-machine': describeMachine,
  'describe-compound': describeCompound,
  'describe-pads': describePads,
  'qualify-compound': qualifyCompound,
  'qualify-pads': qualifyPads,
  'record-lot-strength': recordLotStrength,
  'set-service': setService,
  'change-limit': changeLimit,
  'add-storage': addStorage,
  'record-duty': recordDuty,
  'add-card': addCard,
  'withdraw-card': withdrawCard,
  'add-person': addPerson,
  'change-person': changePerson,
  'change-password': changePassword,
  'invite-person': invitePerson,
  'end-sessions': endSessions,
  'end-own-session': endOwnSession,
  'let-client-see': letClientSee,
  'take-client-off': takeClientOff,
  'describe-laboratory': describeLaboratory,
  'lay-step-aside': layStepAside,
  'import-results': importResults,
  'record-practice': recordPractice,
  'record-exercise': recordExercise,
} as const;

export type UseCaseName = keyof typeof USE_CASES;

/** The use case of a name; undefined when there is none. */
export function findUseCase(name: string): UseCase<never> | undefined {
  return Object.hasOwn(USE_CASES, name)
    ? (USE_CASES[name as UseCaseName] as unknown as UseCase<never>)
    : undefined;
}
