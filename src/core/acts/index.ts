import type { z } from 'zod';
import { createRegistry } from '../kernel/registry';
import type { Act } from './act';
import { importAds } from './ads/importAds';
import { takeAd } from './ads/takeAd';
import { addLook } from './arrange/addLook';
import { editLookPieces } from './arrange/editLookPieces';
import { movePieces } from './arrange/movePieces';
import { placePieces } from './arrange/placePieces';
import { recordHoles } from './arrange/recordHoles';
import { removeLook } from './arrange/removeLook';
import { takeAway } from './arrange/takeAway';
import { resetOverrides } from './assumptions/resetOverrides';
import { setOverride } from './assumptions/setOverride';
import { beginStep } from './bench/beginStep';
import { finishStep } from './bench/finishStep';
import { forgetFactor } from './bench/forgetFactor';
import { keepBench } from './bench/keepBench';
import { pauseStep } from './bench/pauseStep';
import { reopenStep } from './bench/reopenStep';
import { setWeather } from './bench/setWeather';
import { tellStep } from './bench/tellStep';
import { cancelBill } from './bills/cancelBill';
import { issueBill } from './bills/issueBill';
import { saveLetterhead } from './bills/saveLetterhead';
import { addInspiration } from './brief/addInspiration';
import { addPhoto } from './brief/addPhoto';
import { keepFunction } from './brief/keepFunction';
import { removeInspiration } from './brief/removeInspiration';
import { removePhoto } from './brief/removePhoto';
import { setPalette } from './brief/setPalette';
import { editBox } from './closing/editBox';
import { freezePlan } from './closing/freezePlan';
import { pairPhotos } from './closing/pairPhotos';
import { removeFreeze } from './closing/removeFreeze';
import { settleLooseEnd } from './closing/settleLooseEnd';
import { storePieces } from './closing/storePieces';
import { removeArtwork } from './cutting/removeArtwork';
import { saveArtwork } from './cutting/saveArtwork';
import { saveLayout } from './cutting/saveLayout';
import { addFind } from './finds/addFind';
import { archiveFind } from './finds/archiveFind';
import { decideFind } from './finds/decideFind';
import { editFind } from './finds/editFind';
import { keepFind } from './finds/keepFind';
import { removeFind } from './finds/removeFind';
import { addPieces } from './house/addPieces';
import { editPiece } from './house/editPiece';
import { giveBack } from './house/giveBack';
import { removePieces } from './house/removePieces';
import { buyFind } from './money/buyFind';
import { buySupply } from './money/buySupply';
import { buyTool } from './money/buyTool';
import { correctPayment } from './money/correctPayment';
import { correctReceipt } from './money/correctReceipt';
import { orderOffer } from './money/orderOffer';
import { payFee } from './money/payFee';
import { recordReceipt } from './money/recordReceipt';
import { sellPiece } from './money/sellPiece';
import { takeBack } from './money/takeBack';
import { addOption } from './options/addOption';
import { addOptions } from './options/addOptions';
import { choose } from './options/choose';
import { clearChoice } from './options/clearChoice';
import { leaveOut } from './options/leaveOut';
import { removeOption } from './options/removeOption';
import { takeChoices } from './options/takeChoices';
import { usePiece } from './options/usePiece';
import { createProject } from './project/createProject';
import { editProject } from './project/editProject';
import { removeProject } from './project/removeProject';
import { acknowledge } from './recipes/acknowledge';
import { coverFind } from './recipes/coverFind';
import { editRecipe } from './recipes/editRecipe';
import { editRecipes } from './recipes/editRecipes';
import { finishRecipe } from './recipes/finishRecipe';
import { reopenRecipe } from './recipes/reopenRecipe';
import { addRow, editRow, removeRow } from './rowActs';
import { addSlot } from './sketch/addSlot';
import { addSlots } from './sketch/addSlots';
import { arrangeSlots } from './sketch/arrangeSlots';
import { editSlot } from './sketch/editSlot';
import { editSpot } from './sketch/editSpot';
import { removeSlot } from './sketch/removeSlot';
import { removeSpot } from './sketch/removeSpot';
import { savePattern } from './sketch/savePattern';
import { editSource } from './sources/editSource';
import { buySuppliesAt } from './supplies/buySuppliesAt';
import { removeSupply } from './supplies/removeSupply';
import { savePrice } from './supplies/savePrice';
import { saveSupply } from './supplies/saveSupply';
import { setTool } from './supplies/setTool';
import { undo } from './undo';

const listed = [
  saveLayout,
  saveArtwork,
  removeArtwork,
  createProject,
  editProject,
  removeProject,
  addRow('addSpot', 'spots', 'Spot added'),
  editSpot,
  removeSpot,
  addSlot,
  editSlot,
  addSlots,
  arrangeSlots,
  removeSlot,
  savePattern,
  removeRow('removePattern', 'patterns', 'Pattern removed'),
  setPalette,
  keepFunction,
  addPhoto,
  removePhoto,
  addInspiration,
  editRow('editInspiration', 'inspirations', 'Inspiration changed'),
  removeInspiration,
  addFind,
  editFind,
  decideFind,
  removeFind,
  archiveFind,
  keepFind,
  addOption,
  addOptions,
  editRow('editOption', 'options', 'Option changed'),
  removeOption,
  editRow('editOffer', 'offers', 'Offer changed'),
  coverFind,
  editRecipe,
  editRecipes,
  finishRecipe,
  reopenRecipe,
  acknowledge,
  choose,
  clearChoice,
  leaveOut,
  takeChoices,
  buySuppliesAt,
  addRow('keepPlan', 'plans', 'Plan kept'),
  editRow('editPlan', 'plans', 'Plan changed'),
  removeRow('removePlan', 'plans', 'Plan removed'),
  keepBench,
  removeRow('letBenchGo', 'benchPlans', 'Kept plan let go'),
  tellStep,
  setWeather,
  beginStep,
  pauseStep,
  finishStep,
  reopenStep,
  editRow('editLogEntry', 'logEntries', 'Line of the log changed'),
  forgetFactor,
  freezePlan,
  removeFreeze,
  settleLooseEnd,
  removeRow('removeLooseEnd', 'looseEnds', 'Task removed'),
  storePieces,
  pairPhotos,
  addRow('addBox', 'boxes', 'Box added'),
  editBox,
  removeRow('removeBox', 'boxes', 'Box removed'),
  saveLetterhead,
  addRow('addBillDraft', 'billDrafts', 'Draft begun'),
  editRow('editBillDraft', 'billDrafts', 'Draft changed'),
  removeRow('removeBillDraft', 'billDrafts', 'Draft thrown away'),
  issueBill,
  cancelBill,
  addRow('addClientPayment', 'clientPayments', 'Payment of the client noted'),
  removeRow('removeClientPayment', 'clientPayments', 'Payment of the client removed'),
  addRow('addWish', 'wishes', 'Wish noted'),
  editRow('editWish', 'wishes', 'Wish changed'),
  removeRow('removeWish', 'wishes', 'Wish removed'),
  addLook,
  editRow('editLook', 'looks', 'Look changed'),
  removeLook,
  placePieces,
  movePieces,
  editLookPieces,
  takeAway,
  recordHoles,
  editRow('editHole', 'holes', 'Hole changed'),
  removeRow('removeHole', 'holes', 'Hole removed'),
  usePiece,
  buyFind,
  orderOffer,
  buySupply,
  buyTool,
  correctPayment,
  correctReceipt,
  recordReceipt,
  takeBack,
  sellPiece,
  payFee,
  importAds,
  takeAd,
  editRow('editAd', 'ads', 'Ad changed'),
  addRow('addTrip', 'trips', 'Trip added'),
  editRow('editTrip', 'trips', 'Trip changed'),
  removeRow('removeTrip', 'trips', 'Trip removed'),
  addRow('addSource', 'sources', 'Place added'),
  editSource,
  removeRow('removeSource', 'sources', 'Place removed'),
  addRow('addColorCard', 'colorCards', 'Color added'),
  editRow('editColorCard', 'colorCards', 'Color changed'),
  saveSupply,
  editRow('editSupply', 'supplies', 'Supply changed'),
  removeSupply,
  setTool,
  savePrice,
  removeRow('removePrice', 'priceNotes', 'Price removed'),
  setOverride,
  resetOverrides,
  addPieces,
  editPiece,
  removePieces,
  giveBack,
  editRow('editGap', 'gaps', 'Gap changed'),
  addRow('keepSearch', 'searches', 'Search kept'),
  removeRow('removeSearch', 'searches', 'Search removed'),
  addRow('keepRecipe', 'studioRecipes', 'Recipe kept for the studio'),
  removeRow('forgetRecipe', 'studioRecipes', 'Studio recipe removed'),
  undo,
] as const;

/** Every act by its kind. To add one: a file in its area, a line in the list above. */
export const acts = createRegistry(
  'acts',
  listed.map((act) => ({ id: act.kind, act: act as unknown as Act })),
);

type Listed = (typeof listed)[number];
export type ActKind = Listed['kind'];
/** The payload that an act takes. */
export type PayloadOf<K extends ActKind> = z.input<Extract<Listed, { kind: K }>['payload']>;
