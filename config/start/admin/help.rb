# frozen_string_literal: true

# What bin/rungs-admin says of itself.
module Admin
  HELP = <<~TEXT
    bin/rungs-admin: for the one who keeps this machine

      bin/rungs-admin backup              a copy of everything now, tried by restoring it; bin/start makes one each day
      bin/rungs-admin list                the copies there are, and how much room the next ones need
      bin/rungs-admin check [FILE]        tries a copy by restoring it beside; the newest where none is named
      bin/rungs-admin restore FILE        everything as it was in a copy; what is there now is copied first.
                                          Rungs has to be ended before
      bin/rungs-admin tidy [--dry-run]    takes names and photos out of classes whose time is over; bin/start does it
                                          each day. With --dry-run it only says what it would do
      bin/rungs-admin password ADDRESS    a new password for an account, printed once; its sessions end
      bin/rungs-admin migrate             the tables as this version has them: for a district, whose servers change none
      bin/rungs-admin reckon              makes anew what the records say of every child, from all of them; nothing of
                                          what was heard changes
      bin/rungs-admin go-back FILE        everything as it was in a copy that bin/start made before it changed tables.
                                          Rungs has to be ended first; put the version from then in place afterwards

    Copies are in RUNGS_BACKUPS (else var/backups). With RUNGS_BACKUP_RECIPIENT (a public key of age) they are
    encrypted; RUNGS_BACKUP_IDENTITY names the file with the key that reads them. docs/keeping.md tells more.
  TEXT
end
