export { type Advice, adviceOf } from './advice.ts';
export { breakdownOf, type PartRead, type PiecePart, pieceParts } from './breakdown.ts';
export { type Need, needsOf, needsTogether } from './needs.ts';
export { type SheetNeed, sheetNeeds, sheetsTogether } from './sheets.ts';
export { type Offer, type Purchase, type ShoppingLine, shoppingOf } from './shopping.ts';
export { sayBuy, sayKind, sayPurchase, sayQuantity } from './words.ts';
