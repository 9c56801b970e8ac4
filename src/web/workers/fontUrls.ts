import type { FontId } from '@core/artwork/fonts.data';
import dancingScript400 from '@fontsource/dancing-script/files/dancing-script-latin-400-normal.woff?url';
import dancingScript700 from '@fontsource/dancing-script/files/dancing-script-latin-700-normal.woff?url';
import lora400 from '@fontsource/lora/files/lora-latin-400-normal.woff?url';
import lora700 from '@fontsource/lora/files/lora-latin-700-normal.woff?url';
import nunito400 from '@fontsource/nunito/files/nunito-latin-400-normal.woff?url';
import nunito700 from '@fontsource/nunito/files/nunito-latin-700-normal.woff?url';
import oswald700 from '@fontsource/oswald/files/oswald-latin-700-normal.woff?url';

/** Where the page finds each typeface; the bundler copies them beside it. */
const urls: Readonly<Record<FontId, string>> = {
  nunito700,
  nunito400,
  oswald700,
  lora700,
  lora400,
  dancingScript700,
  dancingScript400,
};
export const fontUrls: Readonly<Record<string, string | undefined>> = urls;
