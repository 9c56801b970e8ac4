import type { SheetFontFile } from '@core/formats/sheets/sheetFonts.data';
import bitterCyrillic from '@fontsource/bitter/files/bitter-cyrillic-600-normal.woff?url';
import bitter from '@fontsource/bitter/files/bitter-latin-600-normal.woff?url';
import bitterExtended from '@fontsource/bitter/files/bitter-latin-ext-600-normal.woff?url';
import figtree from '@fontsource/figtree/files/figtree-latin-400-normal.woff?url';
import figtreeBold from '@fontsource/figtree/files/figtree-latin-700-normal.woff?url';
import figtreeExtended from '@fontsource/figtree/files/figtree-latin-ext-400-normal.woff?url';
import figtreeExtendedBold from '@fontsource/figtree/files/figtree-latin-ext-700-normal.woff?url';
import nunitoCyrillic from '@fontsource/nunito/files/nunito-cyrillic-400-normal.woff?url';
import nunitoCyrillicBold from '@fontsource/nunito/files/nunito-cyrillic-700-normal.woff?url';

/** Where the page finds the typefaces of printed sheets; the bundler copies them beside it. */
export const sheetFontUrls: Readonly<Record<SheetFontFile, string>> = {
  '@fontsource/figtree/files/figtree-latin-400-normal.woff': figtree,
  '@fontsource/figtree/files/figtree-latin-ext-400-normal.woff': figtreeExtended,
  '@fontsource/figtree/files/figtree-latin-700-normal.woff': figtreeBold,
  '@fontsource/figtree/files/figtree-latin-ext-700-normal.woff': figtreeExtendedBold,
  '@fontsource/nunito/files/nunito-cyrillic-400-normal.woff': nunitoCyrillic,
  '@fontsource/nunito/files/nunito-cyrillic-700-normal.woff': nunitoCyrillicBold,
  '@fontsource/bitter/files/bitter-latin-600-normal.woff': bitter,
  '@fontsource/bitter/files/bitter-latin-ext-600-normal.woff': bitterExtended,
  '@fontsource/bitter/files/bitter-cyrillic-600-normal.woff': bitterCyrillic,
};
