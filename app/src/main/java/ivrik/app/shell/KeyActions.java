package ivrik.app.shell;

import ivrik.app.session.OwnLooks;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.KeyList;
import ivrik.app.sheet.KeySheet;
import ivrik.app.sheet.Sheets;
import ivrik.media.file.SafeFile;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/** Shows all keys and saves them as a page for printing. */
final class KeyActions {
    private final View view;
    private final OwnLooks own;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    KeyActions(View view, OwnLooks own, Sheets sheets, Supplier<Chooser> chooser) {
        this.view = view;
        this.own = own;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    void show(List<Command> commands) {
        KeySheet sheet =
                new KeySheet(
                        KeyList.groups(commands),
                        () -> save(KeyList.page(KeyList.groups(commands))),
                        sheets);
        sheets.show(sheet, sheet.first());
    }

    private void save(String page) {
        sheets.away();
        Path chosen = chooser.get().toSave(Chooser.Saved.KEYS, "ivrik-keys");
        if (chosen == null) {
            return;
        }
        Path file = FileExtensions.with(chosen, Chooser.Saved.KEYS.ending());
        FileExtensions.save(chosen, file, sheets, own, view, to -> SafeFile.write(to, page));
    }
}
