// Command yellowparcel serves Yellow Parcel: it sizes hand-made cards and their
// envelopes and says whether they post.
//
//	yellowparcel [--addr 127.0.0.1:8417] [--data DIR] [--demo]
//	yellowparcel backup [--data DIR] [FILE]
//	yellowparcel restore [--data DIR] [BACKUP or FILE]
//	yellowparcel device KIND [--addr 127.0.0.1:8427]
//	yellowparcel openapi
package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"log/slog"
	"net"
	"os"
	"os/signal"
	"path/filepath"
	"runtime"
	"runtime/debug"
	"slices"
	"syscall"

	"yellowparcel/core/job"
	"yellowparcel/demo"
	"yellowparcel/device"
	"yellowparcel/server"
	"yellowparcel/store"
)

const defaultAddr = "127.0.0.1:8417"

func main() {
	if err := run(os.Args[1:]); err != nil {
		fmt.Fprintf(os.Stderr, "Yellow Parcel cannot go on: %v.\n", err)
		os.Exit(1)
	}
}

func run(args []string) error {
	if len(args) == 1 && args[0] == "openapi" {
		doc, err := server.OpenAPI()
		if err == nil {
			_, err = os.Stdout.Write(doc)
		}
		return err
	}
	if len(args) > 0 && (args[0] == "backup" || args[0] == "restore") {
		return keep(args[0], args[1:], os.Stdout)
	}
	if len(args) > 0 && args[0] == "device" {
		return standIn(args[1:], os.Stdout)
	}
	flags := flag.NewFlagSet("yellowparcel", flag.ContinueOnError)
	addr := flags.String("addr", envOr("ADDR", defaultAddr), "address to listen on; also from ADDR")
	data := flags.String("data", "", "data directory (default: a place of your own)")
	sample := flags.Bool("demo", false, "fill an empty data directory with the sample shop and jobs")
	behave := flags.String("devices", string(device.Steady), "how the simulated caliper and scale behave: steady, restless, silent or rubbish")
	places := map[string]*string{}
	for _, k := range append(device.Kinds(), &device.Kind{ID: device.CutterID, Name: "cutter"}) {
		places[k.ID] = flags.String(k.ID, "", "where a real "+k.Name+" is, as tcp:host:port; without it a simulated one serves")
	}
	if err := flags.Parse(args); err != nil {
		if errors.Is(err, flag.ErrHelp) {
			return nil
		}
		return err
	}
	devices := server.Devices{Behave: device.Behaviour(*behave), Places: map[string]device.Place{}}
	for id, place := range places {
		if *place == "" {
			continue
		}
		open, err := device.Dial(*place)
		if err != nil {
			return fmt.Errorf("the flag --%s cannot be used: %w", id, err)
		}
		devices.Places[id] = open
	}
	if !slices.Contains(device.Behaviours(), device.Behaviour(*behave)) {
		return fmt.Errorf("the devices cannot behave “%s”: choose steady, restless, silent or rubbish", *behave)
	}
	if flags.NArg() > 0 {
		return fmt.Errorf("“%s” is not something it does: try --help", flags.Arg(0))
	}
	dir, err := dirOf(*data)
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	return serve(ctx, *addr, dir, *sample, devices)
}

// A plan makes much that lives for a moment only: collecting it seldom makes answers quick,
// and the memory that this may take is bounded.
const (
	collectAt  = 400       // per cent
	mostMemory = 512 << 20 // bytes, before it is collected more often
)

func serve(ctx context.Context, addr, dir string, sample bool, devices server.Devices) (err error) {
	debug.SetGCPercent(collectAt)
	debug.SetMemoryLimit(mostMemory)
	listener, err := listen(addr)
	if err != nil {
		return err
	}
	var jobs []job.Job // nothing appears unasked
	shop := job.DefaultShop()
	if sample {
		jobs, shop = demo.Jobs(), demo.Shop()
	}
	seed := func(db *store.Store) error {
		if err := db.Seed(ctx, shop, jobs); err != nil {
			return fmt.Errorf("the first jobs cannot be stored in %s: %w", dir, err)
		}
		return nil
	}
	host, _, _ := net.SplitHostPort(addr)
	log := slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelWarn}))
	if sample {
		store.Forget(dir) // the samples may be begun anew
	}
	db, err := store.Open(dir)
	var damage *store.Damage
	var site *server.Server
	switch {
	case errors.As(err, &damage):
		fmt.Printf("Something is wrong: %v.\nOpen the page to choose what to go on with.\n", damage)
		site = server.NewDamaged(server.New(nil, log, devices, host), damage, seed)
	case err != nil:
		return errors.Join(err, listener.Close())
	default:
		if err := seed(db); err != nil {
			return errors.Join(err, db.Close(), listener.Close())
		}
		site = server.New(db, log, devices, host)
		server.Samples(site, demo.Shop())
	}
	defer func() { err = errors.Join(err, site.Close()) }()
	url := "http://" + listener.Addr().String()
	if err := site.Advertise(url); err != nil {
		return fmt.Errorf("the data directory %s cannot be written: %w", dir, err)
	}
	fmt.Printf("Yellow Parcel is open at %s\nIts data is kept in %s. Stop it with Ctrl+C.\n", url, dir)
	return site.Serve(ctx, listener)
}

func listen(addr string) (net.Listener, error) {
	listener, err := net.Listen("tcp", addr)
	if errors.Is(err, syscall.EADDRINUSE) {
		return nil, fmt.Errorf("the address %s is in use, perhaps by a Yellow Parcel that runs already: open http://%s, or choose another with ADDR=127.0.0.1:8418", addr, addr)
	}
	if err != nil {
		return nil, fmt.Errorf("it cannot listen on %s: %w; give a host and a port, such as ADDR=%s", addr, err, defaultAddr)
	}
	return listener, nil
}

func envOr(name, otherwise string) string {
	if v := os.Getenv(name); v != "" {
		return v
	}
	return otherwise
}

// dirOf is the data directory that is named, or the user's own.
func dirOf(named string) (string, error) {
	if named != "" {
		return named, nil
	}
	return dataDir()
}

// dataDir is where a user's own data goes on this system.
func dataDir() (string, error) {
	if dir := os.Getenv("XDG_DATA_HOME"); filepath.IsAbs(dir) {
		return filepath.Join(dir, "yellow-parcel"), nil
	}
	if runtime.GOOS == "linux" {
		if home, err := os.UserHomeDir(); err == nil {
			return filepath.Join(home, ".local", "share", "yellow-parcel"), nil
		}
	}
	dir, err := os.UserConfigDir()
	if err != nil {
		return "", fmt.Errorf("no place for your data could be found (%w): name one with --data", err)
	}
	return filepath.Join(dir, "yellow-parcel"), nil
}
