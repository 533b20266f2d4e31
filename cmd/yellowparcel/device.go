package main

import (
	"context"
	"flag"
	"fmt"
	"io"
	"os"
	"os/signal"
	"slices"
	"syscall"

	"yellowparcel/device"
)

// standIn serves one simulated device on an address of its own, as a real one would stand there: to try what
// --caliper, --scale and --cutter name.
func standIn(args []string, out io.Writer) error {
	if len(args) == 0 || !slices.Contains(device.StandIns(), args[0]) {
		return fmt.Errorf("say which device is to be simulated: one of %v", device.StandIns())
	}
	flags := flag.NewFlagSet("device "+args[0], flag.ContinueOnError)
	addr := flags.String("addr", "127.0.0.1:8427", "address to listen on")
	behave := flags.String("devices", string(device.Steady), "how it behaves: steady, restless, silent or rubbish")
	load := flags.Float64("load", 0, "what lies in or on it, in its own unit")
	if err := flags.Parse(args[1:]); err != nil {
		return err
	}
	serve, err := device.StandIn(args[0], device.Behaviour(*behave), *load)
	if err != nil {
		return err
	}
	listener, err := listen(*addr)
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	context.AfterFunc(ctx, func() { _ = listener.Close() })
	_, _ = fmt.Fprintf(out, "A simulated %s stands at tcp:%s. Stop it with Ctrl+C.\n", args[0], listener.Addr())
	for {
		port, err := listener.Accept()
		if err != nil {
			return acceptError(ctx, err)
		}
		go serve(port)
	}
}

// acceptError is nothing where the listener was closed on purpose.
func acceptError(ctx context.Context, err error) error {
	if ctx.Err() != nil {
		return nil
	}
	return fmt.Errorf("the device can no longer be reached: %w", err)
}
