export { benchSheet, type SheetFields } from './benchSheet.ts';
export { createSetLister, listOfTile, type SetProgress, type ShoppingList, wholeList } from './shoppingList.ts';
export { templateSource } from './templateSource.ts';
export { testPieceOf, USUAL_TEST_PIECE_MM } from './testPiece.ts';
