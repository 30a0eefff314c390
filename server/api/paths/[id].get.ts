export default pathRoutes.get()
