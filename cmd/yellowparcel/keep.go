package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"os"

	"yellowparcel/server"
	"yellowparcel/store"
)

// keep carries out the commands backup and restore.
func keep(command string, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("yellowparcel "+command, flag.ContinueOnError)
	data := flags.String("data", "", "data directory (default: a place of your own)")
	flags.Usage = func() {
		fmt.Fprintf(flags.Output(), "yellowparcel backup [--data DIR] [FILE]\n  copies everything into FILE, or among the backups; also while the program runs\nyellowparcel restore [--data DIR] [BACKUP or FILE]\n  makes everything as it was in a backup, after a backup of what is there; without a name it lists them\n")
		flags.PrintDefaults()
	}
	if err := flags.Parse(args); err != nil {
		if errors.Is(err, flag.ErrHelp) {
			return nil
		}
		return err
	}
	if flags.NArg() > 1 {
		return fmt.Errorf("name one file at most, and flags before it: try %s --help", command)
	}
	dir, err := dirOf(*data)
	if err != nil {
		return err
	}
	if command == "backup" {
		b, err := store.BackUpTo(context.Background(), dir, flags.Arg(0))
		if err != nil {
			return fmt.Errorf("no backup was made: %w", err)
		}
		_, err = fmt.Fprintf(out, "Backed up: %s (%s).\n", b.Name, server.Holds(b))
		return err
	}
	return restore(dir, flags.Arg(0), out)
}

// restore restores a backup by its name or its file; without one it lists the backups.
func restore(dir, name string, out io.Writer) (err error) {
	ctx := context.Background()
	if name == "" {
		list, err := store.BackupsOf(ctx, dir)
		if err != nil {
			return err
		}
		for _, b := range list {
			fmt.Fprintf(out, "%s  %s\n", b.Name, server.Holds(b))
		}
		if len(list) == 0 {
			fmt.Fprintf(out, "There are no backups in %s yet.\n", dir)
		}
		return nil
	}
	db, err := store.Open(dir)
	var damage *store.Damage
	if errors.As(err, &damage) {
		// What is damaged is put aside, and stays.
		if db, err = damage.RepairFrom(ctx, name); err != nil {
			return errors.Join(fmt.Errorf("nothing was restored: %w", err), damage.Close())
		}
		fmt.Fprintf(out, "Restored %s. The damaged database is kept beside it.\n", name)
		return db.Close()
	}
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	came, err := db.Backups().Restore(ctx, name)
	if errors.Is(err, store.ErrNoBackup) {
		if _, missing := os.Stat(name); missing != nil {
			return fmt.Errorf("there is no backup %s, and no such file: run restore without a name to see which there are", name)
		}
		came, err = db.Backups().RestoreFile(ctx, name)
	}
	if err != nil {
		return err
	}
	_, err = fmt.Fprintln(out, server.Came("Restored", came))
	return err
}
